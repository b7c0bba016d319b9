<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** How a response stands, in one word. */
enum Verdict: string
{
    case Right = 'right';
    case Part = 'part';
    case Wrong = 'wrong';
    /** Nothing was answered. */
    case None = 'none';
    /** Waits for a marker. */
    case ByHand = 'by hand';
    /** Answered where nothing is scored. */
    case Said = 'said';

    public static function ofCredit(BigRational $credit): self
    {
        return match (true) {
            // Without the subtraction that a comparison of fractions costs: each response comes by here.
            $credit->getNumerator()->isGreaterThanOrEqualTo($credit->getDenominator()) => self::Right,
            $credit->isPositive() => self::Part,
            default => self::Wrong,
        };
    }
}
