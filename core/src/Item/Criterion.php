<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** One thing a marker looks for. Levels stand in rising order. */
final readonly class Criterion
{
    /** @param list<Level> $levels */
    public function __construct(public string $name, public array $levels)
    {
    }

    public function most(): BigRational
    {
        return array_reduce(
            $this->levels,
            static fn (BigRational $most, Level $l): BigRational => $l->points->isGreaterThan($most) ? $l->points : $most,
            BigRational::zero(),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['name' => $this->name, 'levels' => array_map(static fn (Level $l): array => $l->toArray(), $this->levels)];
    }
}
