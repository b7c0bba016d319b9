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
        return self::score($successes / $n, (float) $n, self::Z);
    }

    /**
     * For the mean of values between 0 and 1: Wilson's interval on as many yes-or-no answers as would vary as much, with Student's t for
     * the normal. Unlike the interval of a mean it stays within the scale and holds near its ends, where credits pile up; where all
     * values are 0 or 1 it is Wilson's. The spread is estimated half from the values and half given by their mean, so t has twice the
     * degrees of freedom: with n − 1 it holds too often. Its coverage is in docs/measurement.md.
     *
     * @param list<float> $values
     *
     * @return array{float, float}|null null for none
     */
    public static function bounded(array $values): ?array
    {
        $n = count($values);
        $mean = Sample::mean($values);
        if ($mean === null) {
            return null;
        }
        $parts = array_filter($values, static fn (float $v): bool => $v !== 0.0 && $v !== 1.0);
        if ($parts === [] || $n < 2) {
            return self::wilson(array_sum($values), $n);
        }

        return self::effective($mean, Sample::squares($values) / ($n - 1), $n, 2 * ($n - 1));
    }

    /**
     * For a share counted in clusters, such as pairs of marks within pieces of work: the clusters are what was drawn, so they carry the
     * uncertainty (ratio estimator; Cochran, Sampling Techniques, 3rd edition 1977, section 6.4).
     *
     * @param list<array{float, float}> $clusters how many of how many, in each
     *
     * @return array{float, float}|null null for none
     */
    public static function clustered(array $clusters): ?array
    {
        $all = array_sum(array_column($clusters, 1));
        $n = count($clusters);
        if ($all <= 0.0) {
            return null;
        }
        $share = array_sum(array_column($clusters, 0)) / $all;
        if ($n < 2) {
            return self::wilson($share, 1);
        }
        $squares = 0.0;
        foreach ($clusters as [$of, $in]) {
            $squares += ($of - $share * $in) ** 2;
        }

        return self::effective($share, $squares / ($n - 1) / ($all / $n) ** 2, $n, $n - 1);
    }

    /**
     * @param float $variance of one of the n
     *
     * @return array{float, float}
     */
    private static function effective(float $share, float $variance, int $n, int $freedom): array
    {
        $most = $share * (1 - $share);
        $size = $variance > 0.0 && $most > 0.0 ? max((float) $n, $n * $most / $variance) : (float) $n;

        return self::score($share, $size, Curves::tQuantile(0.975, $freedom));
    }

    /** @return array{float, float} */
    private static function score(float $p, float $n, float $z): array
    {
        $z2 = $z ** 2;
        $centre = ($p + $z2 / (2 * $n)) / (1 + $z2 / $n);
        $half = $z / (1 + $z2 / $n) * sqrt(max(0.0, $p * (1 - $p)) / $n + $z2 / (4 * $n * $n));

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
