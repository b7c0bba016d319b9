<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What is known of a question from all its uses: first tries of handed-in work. */
final readonly class RecordView
{
    /**
     * @param float|null           $seconds median time
     * @param list<RecordLineView> $lines
     */
    public function __construct(
        public int $handouts,
        public int $students,
        public ?float $facility,
        public ?float $seconds,
        public array $lines,
    ) {
    }
}
