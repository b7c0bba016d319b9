<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** Credit becomes marks: exact, and rounded once, half up, to the team's step. */
final class Marks
{
    public static function of(BigRational $credit, BigRational $points, BigRational $step): BigRational
    {
        $steps = $credit->multipliedBy($points)->dividedBy($step)->toScale(0, RoundingMode::HALF_UP);

        return $step->multipliedBy($steps)->simplified();
    }
}
