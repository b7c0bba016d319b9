<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * Abilities under the partial credit model, of which the Rasch model is the case of one step a question: the weighted likelihood
 * estimate of Warm (Psychometrika 54, 1989), which takes out the bias of maximum likelihood and stays within bounds for everything
 * and nothing right, and maximum likelihood itself.
 */
final class Warm
{
    private const FARTHEST = 15.0;

    /**
     * @param list<list<float>> $steps the thresholds of each question that was answered, in logits
     * @param int               $score steps taken, 0 to all of them
     *
     * @return array{float, float} ability and standard error
     */
    public static function estimate(array $steps, int $score): array
    {
        return self::solved($steps, static function (array $moments) use ($score): float {
            [$mean, $variance, $skew] = $moments;

            return $score - $mean + ($variance > 0.0 ? $skew / (2 * $variance) : 0.0);
        });
    }

    /**
     * @param list<list<float>> $steps
     *
     * @return array{float, float}|null null for nothing and for everything, where it lies beyond the scale
     */
    public static function maximumLikelihood(array $steps, int $score): ?array
    {
        $most = array_sum(array_map(count(...), $steps));

        return $score <= 0 || $score >= $most ? null : self::solved($steps, static fn (array $moments): float => $score - $moments[0]);
    }

    /**
     * @param list<list<float>>                             $steps
     * @param \Closure(array{float, float, float}): float $rest  above 0 where the ability is higher
     *
     * @return array{float, float}
     */
    private static function solved(array $steps, \Closure $rest): array
    {
        [$low, $high] = [-self::FARTHEST, self::FARTHEST];
        for ($i = 0; $i < 80; ++$i) {
            $middle = ($low + $high) / 2;
            if ($rest(self::moments($steps, $middle)) > 0.0) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }
        $ability = ($low + $high) / 2;

        return [$ability, 1 / sqrt(max(1e-12, self::moments($steps, $ability)[1]))];
    }

    /**
     * Mean, variance and third central moment of the score; the variance is the information as well.
     *
     * @param list<list<float>> $steps
     *
     * @return array{float, float, float}
     */
    private static function moments(array $steps, float $ability): array
    {
        $sums = [0.0, 0.0, 0.0];
        foreach ($steps as $thresholds) {
            $chances = self::chances($thresholds, $ability);
            $mean = 0.0;
            foreach ($chances as $x => $p) {
                $mean += $x * $p;
            }
            $sums[0] += $mean;
            foreach ($chances as $x => $p) {
                $sums[1] += $p * ($x - $mean) ** 2;
                $sums[2] += $p * ($x - $mean) ** 3;
            }
        }

        return $sums;
    }

    /**
     * The chance of each number of steps taken.
     *
     * @param list<float> $thresholds
     *
     * @return non-empty-list<float>
     */
    public static function chances(array $thresholds, float $ability): array
    {
        $logs = [0.0];
        $sum = 0.0;
        foreach ($thresholds as $threshold) {
            $logs[] = $sum += $ability - $threshold;
        }
        $most = max($logs);
        $weights = array_map(static fn (float $log): float => exp($log - $most), $logs);
        $all = array_sum($weights);

        return array_map(static fn (float $w): float => $w / $all, $weights);
    }
}
