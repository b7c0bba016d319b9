<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Grouping;

use ChalkLadder\Core\Grouping\LevelCut;
use ChalkLadder\Core\Grouping\Plan;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class LevelCutTest extends TestCase
{
    public function testNoGroupingUnderTheseSizesIsMoreAlike(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'level cut', true)));
        foreach ([[3, 1, 0], [3, 2, 3], [2, 3, 4], [3, 2, 0]] as [$groups, $least, $most]) {
            $levels = array_map(static fn (): float => $random->getInt(0, 20) / 20, range(1, 7));
            $plan = new Plan($groups, Plan::ALIKE, $least, $most, seed: '1');
            $cut = LevelCut::of($levels, $plan);
            self::assertNotNull($cut);
            self::assertEqualsWithDelta(self::within($levels, $cut->parts, $groups), $cut->within, 1e-9);
            $best = INF;
            for ($way = 0; $way < $groups ** 7; ++$way) {
                $parts = array_map(static fn (int $i): int => intdiv($way, $groups ** $i) % $groups, range(0, 6));
                $sizes = array_count_values($parts) + array_fill(0, $groups, 0);
                if (min($sizes) >= $least && ($most === 0 || max($sizes) <= $most)) {
                    $best = min($best, self::within($levels, $parts, $groups));
                }
            }
            self::assertEqualsWithDelta($best, $cut->within, 1e-9);
        }
    }

    public function testSizesThatCannotBeKeptHaveNoCut(): void
    {
        self::assertNull(LevelCut::of([0.1, 0.2, 0.3], new Plan(2, Plan::ALIKE, 2, 2, seed: '1')));
    }

    /**
     * @param list<float> $levels
     * @param list<int>   $parts
     */
    private static function within(array $levels, array $parts, int $groups): float
    {
        $sum = 0.0;
        for ($g = 0; $g < $groups; ++$g) {
            $own = array_values(array_filter($levels, static fn (int $i): bool => $parts[$i] === $g, ARRAY_FILTER_USE_KEY));
            $mean = $own === [] ? 0.0 : array_sum($own) / count($own);
            $sum += array_sum(array_map(static fn (float $l): float => ($l - $mean) ** 2, $own));
        }

        return $sum;
    }
}
