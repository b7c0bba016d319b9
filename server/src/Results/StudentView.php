<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

final readonly class StudentView
{
    /**
     * @param list<float> $others   marks of the attempts that do not count
     * @param list<float> $averaged marks of the attempts whose mean counts, where there are several
     */
    public function __construct(
        public string $studentId,
        public string $sittingId,
        public string $name,
        public float $marks,
        public float $of,
        public int $rung,
        public int $attempt,
        public array $others,
        public array $averaged,
        public string $state,
    ) {
    }
}
