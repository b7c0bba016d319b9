<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** Writes a formula so that reading it again gives the same tree, with no more brackets than that needs. */
final class Printer
{
    /** @var array<string, int> how strongly an operator holds its parts; everything else stands by itself */
    private const STRENGTH = [
        'if' => 0,
        'or' => 1,
        'and' => 2,
        'not' => 3,
        'chain' => 4,
        '+' => 5,
        '-' => 5,
        '*' => 6,
        '/' => 6,
        'neg' => 7,
        '^' => 8,
        'percent' => 9,
        'member' => 9,
    ];

    public static function write(Tree $tree): string
    {
        $p = $tree->parts;

        return match ($tree->op) {
            'number' => self::number($tree),
            'text' => '"'.str_replace('"', '""', $tree->text()).'"',
            'name' => $tree->text(),
            'quantity' => self::write($p[0]).' "'.$tree->text().'"',
            'list' => '['.implode(', ', array_map(self::write(...), $p)).']',
            'call' => $tree->text().'('.implode(', ', array_map(self::write(...), $p)).')',
            'if' => 'if '.self::write($p[0]).' then '.self::write($p[1]).' else '.self::write($p[2]),
            'chain' => self::chain($tree),
            'not' => 'not '.self::held($p[0], 3),
            'neg' => '-'.self::held($p[0], 7),
            'percent' => self::held($p[0], 9).' %',
            'member' => self::held($p[0], 9).'.'.$tree->text(),
            '^' => self::held($p[0], 9).'^'.($p[1]->op === 'neg' ? self::write($p[1]) : self::held($p[1], 8)),
            default => self::held($p[0], self::STRENGTH[$tree->op] ?? 0).' '.$tree->op.' '.self::held(
                $p[1],
                (self::STRENGTH[$tree->op] ?? 0) + 1,
            ),
        };
    }

    private static function held(Tree $tree, int $strength): string
    {
        $own = self::STRENGTH[$tree->op] ?? 10;
        // A negative number is written with a sign, and holds no better than one.
        if ($tree->op === 'number' && $tree->exact()->isNegative()) {
            $own = 5;
        }
        $text = self::write($tree);

        return $own < $strength ? '('.$text.')' : $text;
    }

    /** A fraction that has no short decimal is written as a mixed number, which is one literal: `0 1/3`. */
    private static function number(Tree $tree): string
    {
        $text = NumberText::write($tree->exact());
        if (!str_contains($text, '/')) {
            return $text;
        }
        $whole = $tree->exact()->abs()->toScale(0, \Brick\Math\RoundingMode::DOWN);

        return ($tree->exact()->isNegative() ? '-' : '').$whole.' '.$tree->exact()->abs()->minus($whole)->simplified();
    }

    private static function chain(Tree $tree): string
    {
        $signs = explode(' ', $tree->text());
        $text = self::held($tree->parts[0], 5);
        foreach (array_slice($tree->parts, 1) as $i => $part) {
            $text .= ' '.$signs[$i].' '.self::held($part, 5);
        }

        return $text;
    }
}
