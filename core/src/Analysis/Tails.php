<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * The outer parts of a class by a score: the lowest and highest share, 27 % each (Kelley, Journal of Educational
 * Psychology 30, 1939). Students tied across the cut are split fairly: each counts with the weight that fills the part.
 */
final readonly class Tails
{
    /**
     * @param list<float> $lower a weight 0…1 for each student
     * @param list<float> $upper
     */
    private function __construct(public array $lower, public array $upper)
    {
    }

    /** @param list<float> $scores */
    public static function by(array $scores, float $share = 0.27): self
    {
        return new self(self::lowest($scores, $share), self::lowest(array_map(static fn (float $s): float => -$s, $scores), $share));
    }

    /**
     * Mean in the upper part less mean in the lower part.
     *
     * @param list<float> $values one for each student
     */
    public function difference(array $values): ?float
    {
        [$upper, $lower] = [self::mean($this->upper, $values), self::mean($this->lower, $values)];

        return $upper === null || $lower === null ? null : $upper - $lower;
    }

    /**
     * @param list<float> $weights
     * @param list<float> $values
     */
    private static function mean(array $weights, array $values): ?float
    {
        $sum = $all = 0.0;
        foreach ($weights as $s => $w) {
            $sum += $w * $values[$s];
            $all += $w;
        }

        return $all > 0.0 ? $sum / $all : null;
    }

    /**
     * @param list<float> $scores
     *
     * @return list<float>
     */
    private static function lowest(array $scores, float $share): array
    {
        $wanted = $share * count($scores);
        $order = array_keys($scores);
        usort($order, static fn (int $a, int $b): int => $scores[$a] <=> $scores[$b]);
        /** @var array<int, float> $weights */
        $weights = [];
        foreach (array_keys($scores) as $s) {
            $weights[$s] = 0.0;
        }
        for ($i = 0; $i < count($order) && $wanted > 0.0;) {
            // Scores that differ in their last bits alone are the same score.
            $j = $i + 1;
            while ($j < count($order) && abs($scores[$order[$j]] - $scores[$order[$i]]) < 1e-9) {
                ++$j;
            }
            $each = $wanted / ($j - $i);
            $weight = $each < 1.0 ? $each : 1.0;
            for ($m = $i; $m < $j; ++$m) {
                $weights[$order[$m]] = $weight;
            }
            $wanted -= $weight * ($j - $i);
            $i = $j;
        }

        return array_map(static fn (int $s): float => $weights[$s] ?? 0.0, array_keys($scores));
    }
}
