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
