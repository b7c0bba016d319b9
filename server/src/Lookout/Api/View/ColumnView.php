<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class ColumnView
{
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public string $section,
        public float $points,
        public string $type,
        public bool $keyless,
    ) {
    }
}
