<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** A line of the bank's list. Facility is over all that the record holds; null where nobody has sat it. */
final readonly class ItemRowView
{
    /**
     * @param list<string> $misconceptions ids
     * @param int          $remarks        open ones
     */
    public function __construct(
        public string $id,
        public string $title,
        public string $type,
        public string $gist,
        public string $points,
        public ?string $skill,
        public array $misconceptions,
        public string $author,
        public string $updatedAt,
        public int $usedIn,
        public ?float $facility,
        public int $students,
        public int $remarks,
    ) {
    }
}
