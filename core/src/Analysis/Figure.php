<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** A number that can say how it was computed: its n, its interval, its method and formula in words. */
final readonly class Figure
{
    /** @param string|null $note why there is no value, or what to beware of */
    public function __construct(
        public ?float $value,
        public int $n,
        public string $formula,
        public ?float $low = null,
        public ?float $high = null,
        public ?string $note = null,
    ) {
    }

    public static function missing(int $n, string $formula, string $why): self
    {
        return new self(null, $n, $formula, note: $why);
    }
}
