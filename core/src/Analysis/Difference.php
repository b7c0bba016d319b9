<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Differences of means with 95 % intervals, and as a share of the spread. */
final class Difference
{
    private const BETWEEN = 'Mean of the first less mean of the second; 95 % interval by Welch’s t.';
    private const PAIRED = 'Mean of each student’s later less earlier figure; 95 % interval by Student’s t.';
    private const EFFECT = 'Difference of means over the pooled standard deviation, corrected for small n (Hedges’ g).';

    /**
     * Two classes. Source: B. L. Welch, Biometrika 34 (1947), 28–35.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    public static function between(array $a, array $b): Figure
    {
        [$n, $m] = [count($a), count($b)];
        [$sa, $sb] = [Sample::sd($a), Sample::sd($b)];
        if ($sa === null || $sb === null) {
            return Figure::missing($n + $m, self::BETWEEN, 'Each side needs at least two students.');
        }
        $value = (Sample::mean($a) ?? 0.0) - (Sample::mean($b) ?? 0.0);
        [$va, $vb] = [$sa ** 2 / $n, $sb ** 2 / $m];
        if ($va + $vb <= 0.0) {
            return new Figure($value, $n + $m, self::BETWEEN, note: 'Neither side varies, so there is no interval.');
        }
        $freedom = ($va + $vb) ** 2 / ($va ** 2 / ($n - 1) + $vb ** 2 / ($m - 1));
        $half = Curves::tQuantile(0.975, $freedom) * sqrt($va + $vb);

        return new Figure($value, $n + $m, self::BETWEEN, $value - $half, $value + $half, Figure::few(min($n, $m)));
    }

    /**
     * Before and after, the same students.
     *
     * @param list<float> $before
     * @param list<float> $after  in the same order
     */
    public static function paired(array $before, array $after): Figure
    {
        $gains = array_map(static fn (float $b, float $a): float => $a - $b, $before, $after);
        $n = count($gains);
        $mean = Sample::mean($gains);
        $interval = $mean === null ? null : Intervals::mean($mean, Sample::sd($gains), $n);

        return $mean === null || $interval === null
            ? Figure::missing($n, self::PAIRED, 'At least two students with both are needed.')
            : new Figure($mean, $n, self::PAIRED, $interval[0], $interval[1], Figure::few($n));
    }

    /**
     * Source: L. V. Hedges, J. Educ. Stat. 6 (1981), 107–128.
     *
     * @param list<float> $a
     * @param list<float> $b
     */
    public static function effect(array $a, array $b): Figure
    {
        [$n, $m] = [count($a), count($b)];
        $freedom = $n + $m - 2;
        $pooled = $freedom < 2 ? 0.0 : sqrt((Sample::squares($a) + Sample::squares($b)) / $freedom);
        if ($pooled <= 0.0 || $n < 2 || $m < 2) {
            return Figure::missing($n + $m, self::EFFECT, 'Each side needs at least two students, and some spread.');
        }
        $g = ((Sample::mean($a) ?? 0.0) - (Sample::mean($b) ?? 0.0)) / $pooled * (1 - 3 / (4 * $freedom - 1));
        $half = 1.959963984540054 * sqrt(($n + $m) / ($n * $m) + $g ** 2 / (2 * ($n + $m)));

        return new Figure($g, $n + $m, self::EFFECT, $g - $half, $g + $half, Figure::few(min($n, $m)));
    }
}
