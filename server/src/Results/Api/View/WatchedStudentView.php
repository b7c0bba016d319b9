<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How much of a sound or a film one student has played. */
final readonly class WatchedStudentView
{
    /**
     * @param float $share of the whole
     * @param float $times how many times the whole
     * @param float $until seconds: where the last part that was played ends
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public float $share,
        public float $times,
        public float $until,
    ) {
    }
}
