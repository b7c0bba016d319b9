<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

final readonly class StudentView
{
    /** @param list<float> $others marks of the attempts that do not count */
    public function __construct(
        public string $studentId,
        public string $sittingId,
        public string $name,
        public float $marks,
        public float $of,
        public int $rung,
        public int $attempt,
        public array $others,
        public string $state,
    ) {
    }
}
