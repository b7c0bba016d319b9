<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Time taken, and answers given too fast to have been thought about. */
final class Speed
{
    private const MOST_SECONDS = 10.0;
    private const SHARE = 0.2;
    private const RUSHES = 0.1;
    /** One may be a slip of the finger. */
    private const FEWEST_RUSHED = 2;
    private const LAGS = 2.0;

    /**
     * The middle time, with an exact interval from the order of the times.
     *
     * @param list<float> $seconds of all who answered
     */
    public static function median(array $seconds): Figure
    {
        $formula = 'The middle of the times, in seconds, from seeing the question to the last change of the first answer; 95 % interval from the order of the times (sign test).';
        $n = count($seconds);
        $median = Sample::quantile($seconds, 0.5);
        if ($median === null) {
            return Figure::missing(0, $formula, 'No times are known.');
        }
        $interval = Intervals::median($seconds);

        return new Figure($median, $n, $formula, $interval[0] ?? null, $interval[1] ?? null, Figure::few($n));
    }

    /**
     * Below this many seconds an answer counts as rushed: a fifth of the question's median time, at most ten seconds. The normative
     * threshold of Wise & Ma (2012), with the median, which the slowest do not move, and their wider share of 20 %.
     *
     * @param list<float> $seconds of all who answered the question
     */
    public static function threshold(array $seconds): ?float
    {
        $median = Sample::quantile($seconds, 0.5);

        return $median === null ? null : min(self::MOST_SECONDS, self::SHARE * $median);
    }

    /**
     * A student's share of rushed answers (response time effort is one less this share; Wise & Kong 2005).
     *
     * @param array<array-key, float>      $seconds    by question
     * @param array<array-key, float|null> $thresholds by question
     */
    public static function rushed(array $seconds, array $thresholds): Figure
    {
        $formula = 'Answers given in less than a fifth of the question’s median time (at most 10 s), as a share of all answers. From 0.10, and at least two: rushing.';
        $known = array_intersect_key($seconds, array_filter($thresholds, static fn (?float $t): bool => $t !== null));
        $n = count($known);
        if ($n === 0) {
            return Figure::missing(0, $formula, 'No times are known.');
        }
        $fast = count(array_filter(array_keys($known), static fn (int|string $q): bool => $known[$q] < ($thresholds[$q] ?? 0.0)));
        $interval = Intervals::wilson((float) $fast, $n);

        return new Figure($fast / $n, $n, $formula, $interval[0], $interval[1], Figure::few($n));
    }

    /** A tenth of a student's answers were rushed, and more than one. */
    public static function isRushing(Figure $rushed): bool
    {
        return $rushed->value !== null && $rushed->value >= self::RUSHES && round($rushed->value * $rushed->n) >= self::FEWEST_RUSHED;
    }

    /**
     * The question flag: a tenth of its answers, or more, were rushed.
     *
     * @param list<float> $seconds
     */
    public static function flag(array $seconds): ?Flag
    {
        $threshold = self::threshold($seconds);
        $n = count($seconds);
        $fast = $threshold === null ? 0 : count(array_filter($seconds, static fn (float $s): bool => $s < $threshold));

        return $threshold === null || $n < 10 || $fast < self::RUSHES * $n ? null : new Flag(
            Flag::RUSHED,
            sprintf('%d of %d answered in less than %.1f s: a fifth of the median time, or ten seconds.', $fast, $n, $threshold),
        );
    }

    /**
     * How fast a student works: the typical ratio of their time to the median of each question (geometric mean, so that
     * twice as long and half as long even out). 1: like the others; from 2: lagging.
     *
     * @param array<array-key, float> $seconds by question, of this student
     * @param array<array-key, float> $medians by question, of all
     */
    public static function pace(array $seconds, array $medians): Figure
    {
        $formula = 'Time on a question over the median time of all who answered it; geometric mean over the questions, 95 % interval by Student’s t of the logarithms. 1: like the others.';
        $logs = [];
        foreach ($seconds as $question => $time) {
            $median = $medians[$question] ?? 0.0;
            if ($time > 0.0 && $median > 0.0) {
                $logs[] = log($time / $median);
            }
        }
        $mean = Sample::mean($logs);
        $interval = $mean === null ? null : Intervals::mean($mean, Sample::sd($logs), count($logs));

        return $mean === null ? Figure::missing(0, $formula, 'No times are known.') : new Figure(
            exp($mean),
            count($logs),
            $formula,
            $interval === null ? null : exp($interval[0]),
            $interval === null ? null : exp($interval[1]),
            Figure::few(count($logs), 5),
        );
    }

    /** Surely slower than others: the interval lies above 1 and the typical answer takes twice as long. */
    public static function isLagging(Figure $pace): bool
    {
        return $pace->value !== null && $pace->value >= self::LAGS && ($pace->low ?? 0.0) > 1.0;
    }
}
