<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Curves;
use ChalkLadder\Core\Analysis\Reliability;
use ChalkLadder\Core\Analysis\Tails;
use PHPUnit\Framework\TestCase;

final class ReliabilityTest extends TestCase
{
    public function testAlphaBySumsWorkedByHand(): void
    {
        // Three questions, four students. Variances 1/3, 1/3, 1/4; totals 3, 2, 1, 0 with variance 5/3.
        $r = Reliability::of([[1.0, 1.0, 0.0, 0.0], [1.0, 1.0, 0.0, 0.0], [1.0, 0.0, 1.0, 0.0]]);
        $alpha = 3 / 2 * (1 - (1 / 3 + 1 / 3 + 1 / 3) / (5 / 3));
        self::assertEqualsWithDelta($alpha, $r->alpha->value, 1e-12);
        self::assertEqualsWithDelta(sqrt(5 / 3 * (1 - $alpha)), $r->sem->value, 1e-12);
        // Without the third, the other two are one question twice.
        self::assertEqualsWithDelta(1.0, $r->ifDropped[2]->value, 1e-12);
        self::assertEqualsWithDelta(0.0, $r->ifDropped[0]->value, 1e-12);
    }

    public function testFeldtsIntervalHoldsItsCoverage(): void
    {
        // k = 6 parallel questions with true reliability ρ: each mark is ability plus noise of equal variance.
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(11));
        $normal = static fn (): float => Curves::normalQuantile($random->getInt(1, 999_999) / 1_000_000);
        $true = 6 / (6 + 2.0);
        $held = 0;
        for ($run = 0; $run < 300; ++$run) {
            $columns = array_fill(0, 6, []);
            for ($s = 0; $s < 40; ++$s) {
                $ability = $normal();
                foreach ($columns as $i => $_) {
                    $columns[$i][] = $ability + M_SQRT2 * $normal();
                }
            }
            $alpha = Reliability::of(array_values($columns))->alpha;
            $held += $alpha->low <= $true && $true <= $alpha->high ? 1 : 0;
        }
        self::assertGreaterThan(270, $held);
        self::assertLessThan(300, $held);
    }

    public function testFIsThoseOfTheTables(): void
    {
        // Upper 2.5 % points of F(10, 20) and F(5, 5); the lower one is the reciprocal with the degrees exchanged.
        self::assertEqualsWithDelta(2.774, Curves::fQuantile(0.975, 10, 20), 0.0005);
        self::assertEqualsWithDelta(7.146, Curves::fQuantile(0.975, 5, 5), 0.0005);
        self::assertEqualsWithDelta(1 / Curves::fQuantile(0.975, 20, 10), Curves::fQuantile(0.025, 10, 20), 1e-9);
    }

    public function testWhatCannotBeToldIsSaid(): void
    {
        foreach ([[], [[1.0, 0.0]], [[1.0], [0.0]], [[1.0, 1.0], [0.0, 0.0]]] as $columns) {
            $alpha = Reliability::of($columns)->alpha;
            self::assertNull($alpha->value);
            self::assertNotNull($alpha->note);
        }
    }

    public function testTiesAcrossTheCutAreSplitFairly(): void
    {
        $tails = Tails::by([1.0, 2.0, 2.0, 2.0, 3.0, 4.0, 4.0, 4.0, 4.0, 5.0]);
        // 27 % of ten is 2.7 students below: the first, and 1.7 of the three that are tied.
        self::assertEqualsWithDelta([0 => 1.0, 1 => 1.7 / 3, 2 => 1.7 / 3, 3 => 1.7 / 3], $tails->lower, 1e-12);
        self::assertEqualsWithDelta([5 => 0.425, 6 => 0.425, 7 => 0.425, 8 => 0.425, 9 => 1.0], $tails->upper, 1e-12);
        self::assertEqualsWithDelta(1.0, $tails->difference([0.0, 0.0, 0.0, 0.0, 0.0, 1.0, 1.0, 1.0, 1.0, 1.0]), 1e-12);
    }
}
