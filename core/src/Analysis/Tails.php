<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** The outer parts of a class by a score: the lowest and highest 27 % (Kelley, Journal of Educational Psychology 30, 1939). */
final readonly class Tails
{
    private const SHARE = 0.27;

    /**
     * @param array<int, float> $lower a weight 0…1 for each student who belongs there
     * @param array<int, float> $upper
     */
    private function __construct(public array $lower, public array $upper)
    {
    }

    /** @param list<float> $scores */
    public static function by(array $scores): self
    {
        [$lower, $upper] = RankParts::weights($scores, [[0.0, self::SHARE], [1 - self::SHARE, 1.0]]) + [[], []];

        return new self($lower, $upper);
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
     * @param array<int, float> $weights
     * @param list<float>       $values
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
}
