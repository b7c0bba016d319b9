<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** One thing that can be picked, as results speak of it. */
final readonly class Alternative
{
    /** @param string $letter A, B, C … by the written order */
    public function __construct(
        public string $id,
        public string $letter,
        public string $text,
        public bool $key,
        public ?string $misconception,
    ) {
    }
}
