<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Plain descriptions of a list of numbers. SD with n − 1; quartiles by linear interpolation (Hyndman & Fan 1996, type 7). */
final class Sample
{
    /** @param list<float> $x */
    public static function mean(array $x): ?float
    {
        return $x === [] ? null : array_sum($x) / count($x);
    }

    /** @param list<float> $x */
    public static function sd(array $x): ?float
    {
        $n = count($x);
        if ($n < 2) {
            return null;
        }

        return sqrt(self::squares($x) / ($n - 1));
    }

    /**
     * Sum of the squared distances from the mean.
     *
     * @param list<float> $x
     */
    public static function squares(array $x): float
    {
        $mean = self::mean($x) ?? 0.0;
        $squares = 0.0;
        foreach ($x as $v) {
            $squares += ($v - $mean) ** 2;
        }

        return $squares;
    }

    /** @param list<float> $x */
    public static function quantile(array $x, float $p): ?float
    {
        if ($x === []) {
            return null;
        }
        sort($x);
        $at = $p * (count($x) - 1);
        $low = (int) floor($at);
        $high = min($low + 1, count($x) - 1);

        return $x[$low] + ($at - $low) * ($x[$high] - $x[$low]);
    }

    /**
     * Pearson's correlation; null when a side does not vary.
     *
     * @param list<float> $x
     * @param list<float> $y the same length
     */
    public static function correlation(array $x, array $y): ?float
    {
        $n = count($x);
        if ($n < 3) {
            return null;
        }
        $mx = array_sum($x) / $n;
        $my = array_sum($y) / $n;
        $xx = $yy = $xy = 0.0;
        foreach ($x as $i => $v) {
            $dx = $v - $mx;
            $dy = $y[$i] - $my;
            $xx += $dx * $dx;
            $yy += $dy * $dy;
            $xy += $dx * $dy;
        }

        return $xx < 1e-12 || $yy < 1e-12 ? null : max(-1.0, min(1.0, $xy / sqrt($xx * $yy)));
    }

    /**
     * The same correlation with a mark of 0 or 1, without going through all: from those who have the 1.
     *
     * @param int   $count   how many have the 1
     * @param float $sum     of their values
     * @param int   $n       how many there are in all
     * @param float $mean    of all values
     * @param float $squares sum of the squared distances from that mean
     */
    public static function pointBiserial(int $count, float $sum, int $n, float $mean, float $squares): ?float
    {
        $varies = $count * ($n - $count) / max(1, $n);

        return $n < 3 || $varies < 1e-12 || $squares < 1e-12 ? null : max(
            -1.0,
            min(1.0, ($sum - $count * $mean) / sqrt($varies * $squares)),
        );
    }
}
