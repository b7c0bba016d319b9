<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;

/** One draw of a question's variables, as a teacher looks at it. */
final readonly class SeenDraw
{
    /**
     * @param array<string, BigRational|string> $numbers by variable; words of a table as they stand
     * @param array<string, BigRational> $values  by formula, as it is written in the question
     * @param list<string>               $faults  what speaks against handing it out
     */
    public function __construct(public array $numbers, public array $values, public array $faults)
    {
    }
}
