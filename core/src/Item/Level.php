<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** One level of a criterion: its points, what such work looks like, and the wrong idea it shows if any. */
final readonly class Level
{
    public function __construct(public BigRational $points, public string $descriptor, public ?string $misconception = null)
    {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['points' => (string) $this->points, 'descriptor' => $this->descriptor, 'misconception' => $this->misconception];
    }
}
