<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class ColumnView
{
    /** @param array<string, string>|null $keyless letters that may be its key, by id, while that is still to be given; none where it is typed */
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public string $section,
        public float $points,
        public string $type,
        public ?array $keyless,
    ) {
    }
}
