<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use Brick\Math\BigRational;

/**
 * Teams that climb a ladder by what they have right. A rung is one question that each of a team has right; what one of them has right,
 * or part of the credit, is that part of a rung. So a team is as high as its members have questions right on the average, exactly:
 * neither haste nor the size of a team counts, and whoever is not here holds nobody down.
 */
final class Climb
{
    /**
     * @param list<list<BigRational>> $members of a team, who are at work or done: their credits, 0…1, each of another question
     *
     * @return BigRational rungs, from 0
     */
    public static function height(array $members): BigRational
    {
        $right = BigRational::zero();
        foreach ($members as $credits) {
            foreach ($credits as $credit) {
                $right = $right->plus($credit);
            }
        }

        return $members === [] ? $right : $right->dividedBy(count($members))->simplified();
    }
}
