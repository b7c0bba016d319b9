<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\Input;

use Brick\Math\BigRational;
use ChalkLadder\Server\Platform\Http\Problem;

/** A credit as it is typed: 1/2, .5, 1. */
final class Credit
{
    public const PATTERN = '#^(0|1|0?\.\d{1,6}|\d{1,4}/[1-9]\d{0,3})$#D';
    public const MESSAGE = 'Credit is a number from 0 to 1, such as 1/2.';

    /** @param string $text of {@see PATTERN} */
    public static function read(string $text): BigRational
    {
        $credit = BigRational::of(str_starts_with($text, '.') ? '0'.$text : $text);

        return $credit->isGreaterThan(1) ? throw Problem::invalid(['credit' => self::MESSAGE]) : $credit->simplified();
    }
}
