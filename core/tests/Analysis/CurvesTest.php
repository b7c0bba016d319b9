<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Analysis;

use ChalkLadder\Core\Analysis\Curves;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\Sample;
use PHPUnit\Framework\TestCase;

/** Figures from published tables, to the digits printed. */
final class CurvesTest extends TestCase
{
    public function testNormalQuantiles(): void
    {
        // Abramowitz & Stegun (1964), tables 26.1 and 26.5.
        foreach ([[0.975, 1.959963985], [0.95, 1.644853627], [0.995, 2.575829304], [0.5, 0.0], [0.001, -3.090232306]] as [$p, $z]) {
            self::assertEqualsWithDelta($z, Curves::normalQuantile($p), 1e-9);
        }
    }

    public function testStudentQuantiles(): void
    {
        // Fisher & Yates (1963), table III, two-sided 5 % and 1 %.
        foreach ([
            [0.975, 1, 12.706],
            [0.975, 2, 4.303],
            [0.975, 10, 2.228],
            [0.975, 30, 2.042],
            [0.995, 5, 4.032],
            [0.995, 120, 2.617],
        ] as [$p, $nu, $t]) {
            self::assertEqualsWithDelta($t, Curves::tQuantile($p, $nu), 5e-4);
            self::assertEqualsWithDelta(-$t, Curves::tQuantile(1 - $p, $nu), 5e-4);
        }
    }

    public function testIncompleteBetaAgreesWithClosedForms(): void
    {
        // I_x(1, b) = 1 − (1 − x)^b and I_x(a, 1) = x^a; DLMF 8.17.
        foreach ([0.05, 0.3, 0.5, 0.9] as $x) {
            self::assertEqualsWithDelta(1 - (1 - $x) ** 3, Curves::betaCdf($x, 1, 3), 1e-14);
            self::assertEqualsWithDelta($x ** 4, Curves::betaCdf($x, 4, 1), 1e-14);
            self::assertEqualsWithDelta($x, Curves::betaQuantile(Curves::betaCdf($x, 2.5, 7.0), 2.5, 7.0), 1e-12);
        }
    }

    public function testExactBinomialTest(): void
    {
        // Sums of binomial coefficients over 2^n, by hand.
        self::assertEqualsWithDelta(2 * (1 + 10) / 1024, Curves::evenSplit(1, 10), 1e-12);
        self::assertEqualsWithDelta(2 * (1 + 8 + 28) / 256, Curves::evenSplit(6, 8), 1e-12);
        self::assertSame(1.0, Curves::evenSplit(4, 8));
    }

    public function testWilsonInterval(): void
    {
        // Newcombe, Statistics in Medicine 17 (1998), table I, method 3.
        foreach ([
            [81, 263, 0.2553, 0.3662],
            [15, 148, 0.0624, 0.1605],
            [0, 20, 0.0, 0.1611],
            [1, 29, 0.0061, 0.1718],
        ] as [$k, $n, $low, $high]) {
            [$a, $b] = Intervals::wilson($k, $n);
            self::assertEqualsWithDelta($low, $a, 5e-5);
            self::assertEqualsWithDelta($high, $b, 5e-5);
        }
    }

    public function testFisherInterval(): void
    {
        $interval = Intervals::correlation(0.5, 28);
        self::assertNotNull($interval);
        // z = 0.5493 ± 1.96/5 → 0.1573 and 0.9413; back by tanh.
        self::assertEqualsWithDelta(0.1560, $interval[0], 5e-4);
        self::assertEqualsWithDelta(0.7357, $interval[1], 5e-4);
        self::assertNull(Intervals::correlation(1.0, 28));
        self::assertNull(Intervals::correlation(0.2, 3));
    }

    public function testDescriptions(): void
    {
        self::assertSame(2.5, Sample::quantile([4, 1, 2, 3], 0.5));
        self::assertSame(1.75, Sample::quantile([4, 1, 2, 3], 0.25));
        self::assertEqualsWithDelta(1.2909944, Sample::sd([4, 1, 2, 3]) ?? 0.0, 1e-7);
        self::assertNull(Sample::sd([4]));
        self::assertNull(Sample::mean([]));
        self::assertNull(Sample::correlation([1, 1, 1], [1, 2, 3]), 'what does not vary goes with nothing');
        // Anscombe's first set, American Statistician 27 (1973): r = 0.816.
        self::assertEqualsWithDelta(
            0.81642,
            Sample::correlation(
                [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5],
                [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68],
            ) ?? 0.0,
            1e-5,
        );
    }
}
