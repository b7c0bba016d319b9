<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Parts of a class by rank on a score: thirds, or the outer 27 %. Students tied across a cut are split fairly: each counts
 * in both parts with the weight that fills the part exactly.
 */
final class RankParts
{
    /**
     * @param list<float>                     $scores
     * @param list<array{float, float}>       $parts  each from and to, as a share of the class from the lowest up
     *
     * @return list<array<int, float>> for each part the weight, 0…1, of each student that has one
     */
    public static function weights(array $scores, array $parts): array
    {
        $n = count($scores);
        asort($scores);
        $ties = self::ties(array_values($scores));
        $order = array_keys($scores);
        $weights = [];
        foreach ($parts as [$from, $to]) {
            $part = [];
            foreach ($ties as [$i, $j]) {
                $inside = min($j, $to * $n) - max($i, $from * $n);
                for ($m = $i; $inside > 1e-9 && $m < $j; ++$m) {
                    $part[$order[$m]] = $inside / ($j - $i);
                }
            }
            $weights[] = $part;
        }

        return $weights;
    }

    /**
     * The third of each student: 0, 1 or 2; −1 for those in a run of ties that a cut goes through, with their weights
     * beside it.
     *
     * @param list<float> $scores
     *
     * @return array{array<int, int>, array<int, array<int, float>>}
     */
    public static function thirds(array $scores): array
    {
        $n = count($scores);
        asort($scores);
        $order = array_keys($scores);
        $third = array_fill(0, $n, -1);
        $split = [];
        foreach (self::ties(array_values($scores)) as [$i, $j]) {
            [$first, $last] = [(int) floor(3 * $i / $n), (int) floor((3 * $j - 1) / $n)];
            $weights = [];
            for ($part = $first; $first !== $last && $part <= $last; ++$part) {
                $inside = min($j, ($part + 1) * $n / 3) - max($i, $part * $n / 3);
                $weights[$part] = $inside / ($j - $i);
            }
            for ($m = $i; $m < $j; ++$m) {
                if ($first === $last) {
                    $third[$order[$m]] = $first;
                } else {
                    $split[$order[$m]] = $weights;
                }
            }
        }

        return [$third, $split];
    }

    /**
     * Runs of equal scores; scores that differ in their last bits alone are the same score.
     *
     * @param list<float> $sorted from the lowest up
     *
     * @return list<array{int, int}> first rank of each run, and the rank after its last
     */
    private static function ties(array $sorted): array
    {
        $ties = [];
        $n = count($sorted);
        $i = 0;
        while ($i < $n) {
            $j = $i + 1;
            while ($j < $n && $sorted[$j] - $sorted[$i] < 1e-9) {
                ++$j;
            }
            $ties[] = [$i, $j];
            $i = $j;
        }

        return $ties;
    }
}
