<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class PadView
{
    /**
     * @param string|null $student id; null where it has not been given out
     * @param string|null $at      when it was heard last
     * @param bool        $low     its battery
     * @param int         $strays  presses while nobody had it
     */
    public function __construct(
        public string $pad,
        public ?string $student,
        public ?string $at,
        public ?float $battery,
        public bool $low,
        public int $strays,
    ) {
    }
}
