<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Whether one student's change is more than error: the reliable change index, the difference over the error of a difference, √2 · SEM
 * (Jacobson & Truax, Journal of Consulting and Clinical Psychology 59, 1991). Both marks on one scale.
 */
final class Growth
{
    private const Z = 1.959963984540054;
    private const FORMULA = 'Later less earlier, on one scale; the interval is 1.96 errors of a difference, √2 times the standard error of measurement, to either side (Jacobson & Truax 1991). Beyond error where it leaves out 0.';

    /**
     * @param float $sem standard error of measurement of one mark, in its unit
     * @param int   $n   students from whom it is known
     */
    public static function of(float $before, float $after, float $sem, int $n): Figure
    {
        if ($sem <= 0.0) {
            return Figure::missing($n, self::FORMULA, 'How exactly the marks measure is not known.');
        }
        $half = self::Z * M_SQRT2 * $sem;

        return new Figure($after - $before, $n, self::FORMULA, $after - $before - $half, $after - $before + $half, Figure::few($n));
    }

    /** 1: risen beyond error, −1: fallen beyond error, 0: it cannot be told. */
    public static function direction(Figure $change): int
    {
        return match (true) {
            $change->low !== null && $change->low > 0.0 => 1,
            $change->high !== null && $change->high < 0.0 => -1,
            default => 0,
        };
    }
}
