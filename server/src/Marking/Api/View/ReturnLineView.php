<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** One student's work, over all attempts: what may go back, what waits, what is back. */
final readonly class ReturnLineView
{
    /**
     * @param int         $open       attempts that are still being sat
     * @param int         $ready      attempts that are marked and not yet returned
     * @param int         $waiting    answers that wait for a marker
     * @param int         $returned   attempts that are back
     * @param string|null $returnedAt ISO 8601, of the latest return
     * @param bool        $replied    whether the student has replied; such work is not taken back
     */
    public function __construct(
        public string $studentId,
        public string $name,
        public int $open,
        public int $ready,
        public int $waiting,
        public int $returned,
        public ?string $returnedAt,
        public bool $replied,
    ) {
    }
}
