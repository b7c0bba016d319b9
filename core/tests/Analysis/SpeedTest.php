<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Curves;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\Speed;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class SpeedTest extends TestCase
{
    public function testRushedAnswersAreThoseBelowAFifthOfTheMedianTime(): void
    {
        self::assertEqualsWithDelta(8.0, Speed::threshold([30.0, 40.0, 500.0]), 1e-12);
        self::assertSame(10.0, Speed::threshold([400.0, 600.0]), 'ten seconds at most');
        self::assertNull(Speed::threshold([]));
        $rushed = Speed::rushed(['a' => 2.0, 'b' => 30.0, 'c' => 1.0, 'd' => 9.0], ['a' => 4.0, 'b' => 4.0, 'c' => 4.0, 'd' => null]);
        self::assertSame([2 / 3, 3], [$rushed->value, $rushed->n]);
        self::assertTrue(Speed::isRushing($rushed));
        self::assertFalse(Speed::isRushing(Speed::rushed([], [])));
        self::assertFalse(Speed::isRushing(Speed::rushed(['a' => 1.0], ['a' => 4.0])), 'one answer, be it the only one');
        $nine = array_fill(0, 9, 4.0);
        self::assertFalse(Speed::isRushing(Speed::rushed([1.0, ...array_fill(0, 8, 30.0)], $nine)));
        self::assertTrue(Speed::isRushing(Speed::rushed([1.0, 2.0, ...array_fill(0, 7, 30.0)], $nine)));
        self::assertFalse(
            Speed::isRushing(Speed::rushed([1.0, 2.0, ...array_fill(0, 19, 30.0)], array_fill(0, 21, 4.0))),
            'two of twenty-one are less than a tenth',
        );
        self::assertNull(Speed::flag(array_fill(0, 30, 20.0)));
        self::assertSame(
            '3 of 30 answered in less than 4.0 s: a fifth of the median time, or ten seconds.',
            Speed::flag([...array_fill(0, 27, 20.0), 1.0, 1.0, 1.0])?->evidence,
        );
        self::assertNull(Speed::flag([1.0, 20.0]), 'too few to say');
    }

    public function testTheMedianTimeHasAnIntervalFromTheOrderOfTheTimes(): void
    {
        // P(X ≤ 3 | 16, 1/2) = 697/65 536 = 0.0106 and P(X ≤ 4) = 0.0384: the 4th and the 13th of 16 leave out 2.1 %,
        // the next two would leave out 7.7 %.
        $times = [46.9, 47.2, 49.1, 56.5, 56.8, 59.2, 59.9, 63.2, 63.3, 63.4, 63.7, 64.1, 67.1, 67.7, 73.3, 78.5];
        $median = Speed::median($times);
        self::assertEqualsWithDelta(63.25, $median->value, 1e-12);
        self::assertSame([56.5, 67.1, 16, null], [$median->low, $median->high, $median->n, $median->note]);
        self::assertSame([1.0, 6.0], Intervals::median([6.0, 2.0, 3.0, 1.0, 4.0, 5.0]), 'of six, all');
        self::assertNull(Intervals::median([1.0, 2.0, 3.0, 4.0, 5.0]), 'no interval of five reaches 95 %');
        self::assertSame('few', Speed::median([3.0, 4.0])->note);
        self::assertSame([null, 'No times are known.'], [Speed::median([])->value, Speed::median([])->note]);
    }

    public function testTheIntervalOfAMedianNarrowsWithTheRootOfN(): void
    {
        // For large n the bounds lie 0.98 √n places from the middle (normal approximation).
        $interval = Intervals::median(array_map(floatval(...), range(1, 100_000)));
        self::assertNotNull($interval);
        self::assertEqualsWithDelta(50_000.5 - 0.98 * sqrt(100_000), $interval[0], 2.0);
        self::assertEqualsWithDelta(100_001.0, $interval[0] + $interval[1], 1e-9, 'as many are left out below as above');
        self::assertNull(Intervals::median([]));
    }

    public function testTheIntervalOfAMedianHoldsItsCoverage(): void
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'medians', true)));
        foreach ([8, 25] as $n) {
            $covered = 0;
            for ($round = 0; $round < 2000; ++$round) {
                // Lopsided, as times are; the true median is e^0 = 1.
                $interval = Intervals::median(array_map(
                    static fn (): float => exp(Curves::normalQuantile($random->getInt(1, 999_999_999) / 1e9)),
                    range(1, $n),
                ));
                $covered += $interval !== null && $interval[0] <= 1.0 && $interval[1] >= 1.0 ? 1 : 0;
            }
            self::assertGreaterThan(0.94, $covered / 2000, "n = $n");
        }
    }

    public function testPaceIsTheTypicalRatioToTheMedian(): void
    {
        $medians = ['a' => 20.0, 'b' => 40.0, 'c' => 10.0, 'd' => 30.0];
        self::assertEqualsWithDelta(1.0, Speed::pace(['a' => 40.0, 'b' => 20.0], $medians)->value, 1e-12, 'twice and half even out');
        $slow = Speed::pace(['a' => 45.0, 'b' => 90.0, 'c' => 25.0, 'd' => 60.0], $medians);
        self::assertEqualsWithDelta((2.25 * 2.25 * 2.5 * 2.0) ** 0.25, $slow->value, 1e-12);
        self::assertTrue(Speed::isLagging($slow));
        self::assertFalse(Speed::isLagging(Speed::pace(['a' => 45.0], $medians)), 'one answer is no pace');
        self::assertNull(Speed::pace(['x' => 3.0], $medians)->value);
    }
}
