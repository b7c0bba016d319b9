<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** An option on the wall, with how many picked it. */
final readonly class WallOptionView
{
    /**
     * @param string    $text  rich text
     * @param int|null  $first picked before the talk; null where nothing was counted then
     * @param bool|null $key   null until the teacher shows it
     */
    public function __construct(
        public string $letter,
        public string $text,
        public ?int $first,
        public int $now,
        public ?bool $key,
    ) {
    }
}
