<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Functions;
use ChalkLadder\Core\Formula\Parser;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How many arguments each function takes: the table of docs/formats/formula.md, written down once more. */
final class ArityTest extends TestCase
{
    private const TAKES = [
        '1' => ['abs', 'floor', 'ceil', 'sqrt', 'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'exp', 'ln', 'log', 'count', 'constant',
            'sigfigs', 'length'],
        '1 to 2' => ['round', 'number'],
        '2' => ['gcd', 'lcm', 'mod', 'at', 'ratios', 'matches', 'same', 'distance', 'contains'],
        '3' => ['within'],
        '1 to 100' => ['min', 'max', 'sum', 'mean', 'median'],
    ];

    /** @return iterable<string, array{string, int, int}> */
    public static function functions(): iterable
    {
        foreach (self::TAKES as $range => $names) {
            [$least, $most] = explode(' to ', $range.' to '.$range);
            foreach ($names as $name) {
                yield $name => [$name, (int) $least, (int) $most];
            }
        }
    }

    #[DataProvider('functions')]
    public function testTakesSoManyAndNoOtherNumber(string $name, int $least, int $most): void
    {
        foreach ([$least - 1 => false, $least => true, $most => true, $most + 1 => false] as $count => $fits) {
            $formula = $name.'('.implode(', ', array_fill(0, $count, '1')).')';
            try {
                Parser::read($formula);
                self::assertTrue($fits, $formula);
            } catch (FormulaError $e) {
                self::assertFalse($fits, $formula.': '.$e->getMessage());
                self::assertStringContainsString($count.'.', $e->getMessage());
            }
        }
    }

    public function testNoFunctionIsLeftOut(): void
    {
        $written = array_merge(...array_values(self::TAKES));
        $there = Functions::names();
        sort($written);
        sort($there);
        self::assertSame($there, $written);
    }
}
