<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

use ChalkLadder\Core\Analysis\Intervals;

/** How many of a number of made-up students, with the 95 % interval of what more of them would show (Wilson). */
final readonly class ShareView
{
    private function __construct(public int $count, public float $share, public float $low, public float $high)
    {
    }

    public static function of(int $count, int $students): self
    {
        [$low, $high] = $students === 0 ? [0.0, 1.0] : Intervals::wilson($count, $students);

        return new self($count, $students === 0 ? 0.0 : $count / $students, $low, $high);
    }
}
