<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Number;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\ReadNumber;

/** The form in which a number is asked for. */
enum NumberForm: string
{
    case Any = 'any';
    case Integer = 'integer';
    case Decimal = 'decimal';
    case Fraction = 'fraction';
    case Lowest = 'lowest terms';
    case Mixed = 'mixed';
    case Standard = 'standard';
    case Surd = 'surd';

    public function fits(ReadNumber $read): bool
    {
        return match ($this) {
            self::Any => true,
            self::Integer => $read->form === 'integer',
            self::Decimal => in_array($read->form, ['decimal', 'integer'], true),
            self::Fraction => in_array($read->form, ['fraction', 'integer'], true),
            self::Lowest => $read->form === 'integer' || ($read->form === 'fraction' && NumberText::inLowestTerms($read)),
            self::Mixed => in_array($read->form, ['mixed', 'integer'], true) && NumberText::inLowestTerms($read),
            self::Standard => $read->form === 'standard' && self::oneDigit(NumberText::mantissa($read)),
            self::Surd => false,
        };
    }

    public function asked(): string
    {
        return match ($this) {
            self::Any => 'in any form',
            self::Integer => 'as a whole number',
            self::Decimal => 'as a decimal',
            self::Fraction => 'as a fraction',
            self::Lowest => 'as a fraction in lowest terms',
            self::Mixed => 'as a mixed number in lowest terms',
            self::Standard => 'in standard form, with one digit before the point',
            self::Surd => 'exactly, with the root in simplest form',
        };
    }

    private static function oneDigit(?BigRational $mantissa): bool
    {
        return $mantissa !== null && $mantissa->abs()->isGreaterThanOrEqualTo(1) && $mantissa->abs()->isLessThan(10);
    }
}
