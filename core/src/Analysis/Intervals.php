<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** 95 % intervals by the published formulas. */
final class Intervals
{
    private const Z = 1.959963984540054;

    /**
     * Wilson's score interval. Source: E. B. Wilson, JASA 22 (1927), 209–212.
     *
     * @return array{float, float}
     */
    public static function wilson(float $successes, int $n): array
    {
        $p = $successes / $n;
        $z2 = self::Z ** 2;
        $centre = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = self::Z / (1 + $z2 / $n) * sqrt($p * (1 - $p) / $n + $z2 / (4 * $n * $n));

        return [max(0.0, $centre - $half), min(1.0, $centre + $half)];
    }

    /**
     * Student's interval for a mean.
     *
     * @return array{float, float}|null null below n = 2
     */
    public static function mean(float $mean, ?float $sd, int $n): ?array
    {
        if ($sd === null || $n < 2) {
            return null;
        }
        $half = Curves::tQuantile(0.975, $n - 1) * $sd / sqrt($n);

        return [$mean - $half, $mean + $half];
    }

    /**
     * Distribution-free interval for a median: the order statistics that an exact sign test leaves standing, so that it
     * covers at least 95 %. Source: W. J. Conover, Practical Nonparametric Statistics, 3rd ed. (1999), section 3.2.
     *
     * @param list<float> $x
     *
     * @return array{float, float}|null null below n = 6, where no two of them reach 95 %
     */
    public static function median(array $x): ?array
    {
        $n = count($x);
        $all = Curves::logGamma($n + 1) - $n * M_LN2;
        $below = 0.0;
        // So many of the lowest, and of the highest, may be left out: the chance of fewer heads in n throws is 2.5 % at most.
        $out = 0;
        while ($out < $n / 2 && ($below += exp($all - Curves::logGamma($out + 1) - Curves::logGamma($n - $out + 1))) <= 0.025) {
            ++$out;
        }
        if ($out === 0) {
            return null;
        }
        sort($x);

        return [$x[$out - 1], $x[$n - $out]];
    }

    /**
     * Fisher's z interval for a correlation. Source: R. A. Fisher, Metron 1 (1921), 3–32.
     *
     * @return array{float, float}|null null below n = 4 or at ±1
     */
    public static function correlation(float $r, int $n): ?array
    {
        if ($n < 4 || abs($r) >= 1.0) {
            return null;
        }
        $half = self::Z / sqrt($n - 3);

        return [tanh(atanh($r) - $half), tanh(atanh($r) + $half)];
    }
}
