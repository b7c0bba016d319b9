<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Orders that stay the same for a student: a seed and a place decide them, on every machine. */
final class Draw
{
    /**
     * @template T
     *
     * @param list<T> $things
     *
     * @return list<T>
     */
    public static function order(array $things, string $seed, string $place): array
    {
        $randomizer = new Randomizer(new Xoshiro256StarStar(hash('sha256', $seed.'|'.$place, true)));

        return array_values($randomizer->shuffleArray($things));
    }
}
