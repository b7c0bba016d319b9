<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

/** A handed-in attempt. */
final readonly class CountedAttempt
{
    /**
     * @param string $walk      as it is stored: most students are led the same way, so each way is read once
     * @param int    $corrected answers that stand as a teacher has corrected them
     */
    public function __construct(
        public string $sittingId,
        public string $studentId,
        public string $name,
        public int $attempt,
        public string $walk,
        public float $marks,
        public string $state,
        public bool $counts,
        public int $fewerOptions,
        public int $corrected,
    ) {
    }
}
