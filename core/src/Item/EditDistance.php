<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * Optimal string alignment distance: insertions, deletions, substitutions and swaps of neighbours, each counting one.
 *
 * Source: F. J. Damerau, "A technique for computer detection and correction of spelling errors", CACM 7(3), 1964.
 * Works on code points in a band of width 2·limit+1, so the time is linear in the length for a fixed limit.
 */
final class EditDistance
{
    /** The distance, or limit + 1 when it is larger than the limit. */
    public static function upTo(string $a, string $b, int $limit): int
    {
        if ($a === $b) {
            return 0;
        }
        $x = mb_str_split($a);
        $y = mb_str_split($b);
        $n = count($x);
        $m = count($y);
        if (abs($n - $m) > $limit) {
            return $limit + 1;
        }
        $far = $limit + 1;
        $older = [];
        $old = [];
        for ($j = 0; $j <= min($m, $limit); ++$j) {
            $old[$j] = $j;
        }
        for ($i = 1; $i <= $n; ++$i) {
            $row = [];
            $best = $far;
            if ($i <= $limit) {
                $row[0] = $i;
                $best = $i;
            }
            for ($j = max(1, $i - $limit); $j <= min($m, $i + $limit); ++$j) {
                $same = $x[$i - 1] === $y[$j - 1];
                $d = min(($old[$j] ?? $far) + 1, ($row[$j - 1] ?? $far) + 1, ($old[$j - 1] ?? $far) + ($same ? 0 : 1));
                if ($i > 1 && $j > 1 && $x[$i - 1] === $y[$j - 2] && $x[$i - 2] === $y[$j - 1]) {
                    $d = min($d, ($older[$j - 2] ?? $far) + 1);
                }
                $row[$j] = min($d, $far);
                $best = min($best, $row[$j]);
            }
            if ($best > $limit) {
                return $far;
            }
            $older = $old;
            $old = $row;
        }

        return $old[$m] ?? $far;
    }

    /** How many slips a word of this length may hold: none up to 4 letters, one up to 8, two beyond. */
    public static function allowanceFor(string $form): int
    {
        $length = mb_strlen($form);

        return match (true) {
            $length <= 4 => 0,
            $length <= 8 => 1,
            default => 2,
        };
    }
}
