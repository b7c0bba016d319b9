<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/**
 * Credit becomes marks: exact, and rounded once, half up, to the team's step. Part credit stays part: it is never rounded up
 * to full marks or down to none; where the step leaves no room between them, a finer one is taken.
 */
final class Marks
{
    /** Steps that a team can choose, and that are fallen back on, the coarsest first. */
    public const STEPS = ['1', '1/2', '1/10', '1/100'];

    public static function of(BigRational $credit, BigRational $points, BigRational $step): BigRational
    {
        $exact = $credit->multipliedBy($points);
        $rounded = self::rounded($exact, $step);
        if (!self::isPart($exact, $points) || self::isPart($rounded, $points)) {
            return $rounded;
        }
        foreach ([(string) $step, ...self::STEPS] as $text) {
            $finer = BigRational::of($text);
            // The nearest that is neither nothing nor everything.
            $near = $rounded->isZero() ? $finer : self::rounded($points->minus($finer), $finer);
            if ($finer->isLessThanOrEqualTo($step) && self::isPart($near, $points)) {
                return $near;
            }
        }

        return $exact->simplified();
    }

    private static function rounded(BigRational $marks, BigRational $step): BigRational
    {
        return $step->multipliedBy($marks->dividedBy($step)->toScale(0, RoundingMode::HALF_UP))->simplified();
    }

    private static function isPart(BigRational $marks, BigRational $points): bool
    {
        return $marks->isPositive() && $marks->isLessThan($points);
    }
}
