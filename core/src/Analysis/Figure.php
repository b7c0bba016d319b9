<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** A number that can say how it was computed: its n, its interval, its method and formula in words. */
final readonly class Figure
{
    /** Below so many, a figure of a class says that they are few. */
    public const FEW = 10;

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

    /** The note that a figure carries below its least n. */
    public static function few(int $n, int $least = self::FEW): ?string
    {
        return $n < $least ? 'few' : null;
    }

    public static function missing(int $n, string $formula, string $why): self
    {
        return new self(null, $n, $formula, note: $why);
    }
}
