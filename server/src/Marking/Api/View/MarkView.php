<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

final readonly class MarkView
{
    /**
     * @param list<int|null>|null $levels
     * @param MarkEventView       $event  the line this mark added to its history
     */
    public function __construct(
        public ?string $credit,
        public string $verdict,
        public bool $byHand,
        public ?array $levels,
        public string $comment,
        public int $markVersion,
        public MarkEventView $event,
    ) {
    }
}
