<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\Quantity;
use ChalkLadder\Core\Formula\Unit;

/** What was typed, as conditions see it. */
final class Inputs
{
    /** A number or quantity where the text is one, else the text. */
    public static function value(string $text): BigRational|Quantity|string
    {
        $read = NumberText::read($text);
        if ($read === null) {
            return $text;
        }
        $unit = $read->unit === '' ? null : Unit::named($read->unit);

        return match (true) {
            $read->unit === '' => $read->value,
            $unit === null => $text,
            default => new Quantity($read->value, $unit),
        };
    }
}
