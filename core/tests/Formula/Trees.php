<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Tree;
use Random\Randomizer;

/** Random formulas, of the kind that the parser makes. */
final class Trees
{
    public static function any(Randomizer $random, int $depth): Tree
    {
        $pick = $depth === 0 ? $random->getInt(0, 3) : $random->getInt(0, 13);
        $part = static fn (): Tree => self::any($random, $depth - 1);

        return match ($pick) {
            0, 1 => Tree::number(BigRational::nd($random->getInt(0, 60), $random->getInt(1, 12))),
            2 => Tree::name(['x', 'y', 'height'][$random->getInt(0, 2)]),
            3 => new Tree('text', [], ['ebb', 'a "b"', ''][$random->getInt(0, 2)]),
            4, 5 => new Tree(['+', '-', '*', '/'][$random->getInt(0, 3)], [$part(), $part()]),
            6 => new Tree('^', [$part(), $part()]),
            7 => new Tree('neg', [$part()]),
            8 => new Tree(['and', 'or'][$random->getInt(0, 1)], [$part(), $part()]),
            9 => new Tree('not', [$part()]),
            10 => new Tree('chain', [$part(), $part(), $part()], '< >='),
            11 => new Tree('if', [$part(), $part(), $part()]),
            12 => new Tree('call', [$part(), $part()], 'max'),
            default => new Tree('list', [$part()]),
        };
    }

    /** An expression in x and y of + − × and small powers. */
    public static function algebra(Randomizer $random, int $depth): Tree
    {
        $pick = $random->getInt(0, 99);
        if ($depth <= 0 || $pick < 20) {
            return $pick % 2 === 0 ? Tree::name($pick % 4 === 0 ? 'x' : 'y') : Tree::number($pick % 10);
        }
        $part = static fn (): Tree => self::algebra($random, $depth - 1);

        return $pick < 35 ? new Tree('^', [$part(), Tree::number($pick % 4)]) : new Tree(['+', '-', '*'][$pick % 3], [$part(), $part()]);
    }
}
