<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Text;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Folding;

/**
 * What a text says of which values a name may have, however it is written: `x < 3`, `3 > x`; `1 <= x < 3`, `x >= 1 and x < 3`, `[1, 3)`;
 * `x = -2 or x = 3`, `x = 3, -2`; parts joined by *or*. Bounds are numbers, read exactly; a comparison of two other things is only
 * turned round: `a < b`, `b > a`.
 */
final readonly class Inequality
{
    private const LONGEST = 100;
    private const MOST_PARTS = 6;
    private const SIGNS = ['≤' => '<=', '≥' => '>=', '⩽' => '<=', '⩾' => '>=', '=<' => '<=', '=>' => '>=', '−' => '-', '–' => '-'];

    /**
     * @param string|null  $name  what is bounded; null for an interval, which does not say
     * @param list<string> $parts `[1,3)` each, in order
     */
    private function __construct(private ?string $name, private array $parts)
    {
    }

    public static function read(string $text): ?self
    {
        if (strlen($text) > self::LONGEST || preg_match('/[<>=≤≥⩽⩾]|[\[\]]|∞/u', $text) !== 1) {
            return null;
        }
        $text = strtr(trim($text, " \t\n.;"), self::SIGNS);
        $values = self::values($text);
        if ($values !== null) {
            return $values;
        }
        $names = $parts = [];
        $pieces = preg_split('/ or |∪/iu', $text);
        foreach ($pieces === false || count($pieces) > self::MOST_PARTS ? [] : $pieces as $piece) {
            $one = self::interval(trim($piece)) ?? self::bounded(trim($piece)) ?? self::compared(trim($piece));
            if ($one === null) {
                return null;
            }
            [$name, $parts[]] = $one;
            $names[$name ?? ''] = true;
        }
        sort($parts, SORT_STRING);

        $name = (string) array_key_first($names);

        return $parts === [] || count($names) > 1 ? null : new self($name === '' ? null : $name, $parts);
    }

    public function equals(self $other): bool
    {
        return $this->parts === $other->parts && ($this->name === null || $other->name === null || $this->name === $other->name);
    }

    /** `x = -2 or x = 3`, `x = -2, 3`, `x = ±2`. */
    private static function values(string $text): ?self
    {
        if (preg_match('/^(\p{L}) ?= ?[^<>]+$/Du', $text, $m) !== 1) {
            return null;
        }
        $name = mb_strtolower($m[1]);
        $parts = [];
        $pieces = preg_split('/ or | and |, ?|; ?/iu', $text);
        foreach ($pieces === false || count($pieces) > self::MOST_PARTS ? [''] : $pieces as $piece) {
            $value = (string) preg_replace('/^'.$name.' ?= ?/iu', '', trim($piece));
            $signed = str_starts_with($value, '±') ? [substr($value, strlen('±')), '-'.substr($value, strlen('±'))] : [$value];
            foreach ($signed as $one) {
                $bound = self::bound($one, '');
                if ($bound === null) {
                    return null;
                }
                $parts[$bound] = '['.$bound.','.$bound.']';
            }
        }
        $parts = array_values($parts);
        sort($parts, SORT_STRING);

        return new self($name, $parts);
    }

    /** @return array{string|null, string}|null the smaller side first */
    private static function compared(string $text): ?array
    {
        if (preg_match('/^([^<>=]+?) ?(<=|>=|<|>) ?([^<>=]+)$/Du', $text, $m) !== 1) {
            return null;
        }
        [$left, $right] = [(new Folding())->fold($m[1]), (new Folding())->fold($m[3])];

        return [null, $m[2][0] === '<' ? $left.$m[2].$right : $right.strtr($m[2], ['>' => '<']).$left];
    }

    /** @return array{string|null, string}|null */
    private static function interval(string $text): ?array
    {
        if (preg_match('/^(?:(\p{L}) ?(?:∈|in) ?)?([\[(\]]) ?([^,;\[\]()]+) ?[,;] ?([^,;\[\]()]+) ?([\])\[])$/Du', $text, $m) !== 1) {
            return null;
        }
        [$low, $high] = [self::bound($m[3], '-∞'), self::bound($m[4], '∞')];
        // Two round brackets are a point as well, unless something in them has no end.
        if ($low === null || $high === null || ($m[2] === '(' && $m[5] === ')' && $low !== '-∞' && $high !== '∞')) {
            return null;
        }

        return [$m[1] === '' ? null : mb_strtolower($m[1]), ($m[2] === '[' ? '[' : '(').$low.','.$high.($m[5] === ']' ? ']' : ')')];
    }

    /** @return array{string|null, string}|null */
    private static function bounded(string $text): ?array
    {
        $low = '(-∞';
        $high = '∞)';
        $name = null;
        $pieces = preg_split('/ and |, ?|&/iu', $text);
        foreach ($pieces === false || count($pieces) > 2 ? [''] : $pieces as $piece) {
            if (preg_match('/^([^<>=]+?) ?(<=|>=|<|>) ?([^<>=]+?)(?: ?(<=|>=|<|>) ?([^<>=]+))?$/Du', trim($piece), $m) !== 1) {
                return null;
            }
            $pairs = [[$m[1], $m[2], $m[3]]];
            if (isset($m[4], $m[5])) {
                $pairs[] = [$m[3], $m[4], $m[5]];
            }
            foreach ($pairs as [$left, $sign, $right]) {
                if (self::isName($right)) {
                    [$left, $right] = [$right, $left];
                    $sign = strtr($sign, ['<' => '>', '>' => '<']);
                }
                $bound = self::isName($left) ? self::bound($right, '') : null;
                if ($bound === null || ($name !== null && $name !== mb_strtolower(trim($left)))) {
                    return null;
                }
                $name = mb_strtolower(trim($left));
                $closed = str_ends_with($sign, '=');
                if ($sign[0] === '<') {
                    if ($high !== '∞)') {
                        return null;
                    }
                    $high = $bound.($closed ? ']' : ')');
                } else {
                    if ($low !== '(-∞') {
                        return null;
                    }
                    $low = ($closed ? '[' : '(').$bound;
                }
            }
        }

        return [$name, $low.','.$high];
    }

    private static function isName(string $text): bool
    {
        return preg_match('/^\p{L}$/u', trim($text)) === 1;
    }

    private static function bound(string $text, string $endless): ?string
    {
        $text = trim($text);
        if ($endless !== '' && in_array($text, [$endless, '+'.$endless], true)) {
            return $endless;
        }
        $read = NumberText::read($text);

        return $read === null || $read->unit !== '' ? null : (string) $read->value;
    }
}
