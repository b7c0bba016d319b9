<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Printer;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Formula\Tree;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FormulaTest extends TestCase
{
    use TestTrait;

    private const NAMES = ['x' => '3', 'y' => '1/2', 'h' => '5', 'l' => '1.4', 't' => '3'];

    /** @return iterable<string, array{string, string}> formula, value in words */
    public static function values(): iterable
    {
        $rows = [
            ['1 + 2 * 3', '7'], ['(1 + 2) * 3', '9'], ['2^3^2', '512'], ['-2^2', '-4'], ['2^-1', '0.5'], ['7/2', '3.5'],
            ['1/3', '1/3'], ['1/3 + 1/6', '0.5'],
            ['0.1 + 0.2 = 0.3', 'true'], ['2(x+1)', '8'], ['3x²', '27'], ['x y', '1.5'], ['(x+1)(x-1)', '8'], ['½', '0.5'],
            ['2½', '2.5'], ['2 1/2', '2.5'], ['2 1/2 * 4', '10'],
            ['1,234.5', '1234.5'], ['max(1,234)', '234'], ['max(1, 2, 3)', '3'], ['−3', '-3'], ['6 × 7', '42'], ['6·7', '42'],
            ['84 ÷ 2', '42'], ['√16', '4'], ['√(x+1)', '2'],
            ['2√4', '4'], ['5 %', '0.05'], ['50 % * 8', '4'], ['3.2e-4', '0.00032'], ['3.2×10^-4', '0.00032'], ['３＋４', '7'],
            ["1\u{00A0}+\u{2009}2", '3'], ["1\u{200B}2", '12'],
            ['3 < x <= 5', 'false'], ['3 <= x < 5', 'true'], ['1 < 2 < 3 < 4', 'true'], ['x = 3 and not y = 2', 'true'],
            ['x = 4 or y = 0.5', 'true'], ['if x > 2 then 10 else 20', '10'],
            ['if false then 1/0 else 2', '2'], ['false and 1/0 = 1', 'false'], ['true or 1/0 = 1', 'true'],
            ['abs(-3)', '3'], ['round(2.345, 2)', '2.35'], ['round(-2.5)', '-2'], ['round(2.5)', '3'], ['floor(-1.5)', '-2'],
            ['ceil(1.2)', '2'], ['sqrt(2)^2 = 2', 'true'], ['sqrt(4/9)', '2/3'],
            ['gcd(12, 18)', '6'], ['lcm(4, 6)', '12'], ['mod(17, 5)', '2'], ['mod(-1, 5)', '4'], ['sin(30) = 0.5', 'true'],
            ['cos(60 "°") = 0.5', 'true'], ['log(1000)', '3'],
            ['min([3, 1, 2])', '1'], ['sum(1, 2, 3)', '6'], ['mean([1, 2])', '1.5'], ['median([5, 1, 3])', '3'],
            ['count([1, 2, 3])', '3'], ['at([7, 8, 9], 2)', '8'],
            ['within(3.33, h - (h - l) * t / 6, 0.2)', 'true'], ['3.5 "km" + 200 "m"', '3.7 km'], ['3.5 "km" = 3500 "m"', 'true'],
            ['10 "m" / 2 "s"', '5 m/s'], ['2 "m" * 3 "m"', '6 m·m'],
            ['number((2 "m")^2, "m²")', '4'], ['number((2 "m")^3, "m³")', '8'],
            ['number(2 "m" * 3 "m", "cm²")', '60000'], ['number(20 "°C", "°F")', '68'], ['number("3,5 km", "m")', '3500'],
            ['36 "km/h" = 10 "m/s"', 'true'], ['round(3.14159 "m", 2)', '3.14 m'],
            ['"ebb" = "ebb"', 'true'], ['length("ebb")', '3'], ['contains("spring tide", "tide")', 'true'], ['"a ""b"""', 'a "b"'],
            ['[1, 2] = [1, 2]', 'true'], ['[1, 2] = [2, 1]', 'false'],
            ['2 * pi > 6.28', 'true'], ['0 1/3', '1/3'], ['1 = 1 = 1', 'true'], ['table.c2 * 2', '8'],
        ];
        foreach ($rows as $row) {
            yield $row[0] => $row;
        }
    }

    #[DataProvider('values')]
    public function testWorksOut(string $formula, string $words): void
    {
        $names = array_map(BigRational::of(...), self::NAMES) + ['table' => ['c2' => BigRational::of(4)]];

        self::assertSame($words, Evaluator::words(Evaluator::value(Parser::read($formula), $names, new PlainTexts())));
    }

    /** @return iterable<string, array{string, int, string}> formula, place of the fault from 0, part of what is said */
    public static function faults(): iterable
    {
        $rows = [
            ['', 0, 'nothing here'], ['1 +', 3, 'missing at the end'], ['(1 + 2', 6, '“)” was expected'], ['1 2', 2, 'does not fit'],
            ['1 + * 2', 4, 'does not fit'], ['"ebb', 0, 'not closed'],
            ['3 ~ 4', 2, 'not known'], ['hight + 1', 0, '“hight” is not known'], ['rond(2)', 0, 'not known'],
            ['if x then 1', 11, '“else” was expected'], ['round()', 0, '1 to 2 arguments'],
            ['3 "fathoms of fog"', 2, 'not a unit'], ['x)', 1, 'does not fit'], ['1e99', 1, 'exponent beyond'],
            ['²', 0, 'does not fit'], ['x⁺⁻', 1, 'cannot be read'],
        ];
        foreach ($rows as $row) {
            yield $row[0] === '' ? 'empty' : $row[0] => $row;
        }
    }

    #[DataProvider('faults')]
    public function testSaysWhatIsWrongAndWhere(string $formula, int $at, string $message): void
    {
        try {
            Parser::read($formula, Style::Point, ['x', 'height', 'y']);
            self::fail('It was read.');
        } catch (FormulaError $e) {
            self::assertStringContainsString($message, $e->getMessage());
            self::assertSame($at, $e->at);
        }
    }

    public function testSuggestsWhatMayHaveBeenMeant(): void
    {
        foreach ([
            'hight' => 'Did you mean “height”?',
            'rond(2)' => 'Did you mean “round”?',
            'h2+1' => 'Did you mean “h^2”?',
            'x' => 'Known here: height, h.',
        ] as $formula => $meant) {
            try {
                Parser::read($formula, Style::Point, ['height', 'h']);
                self::fail('It was read.');
            } catch (FormulaError $e) {
                self::assertStringEndsWith($meant, $e->sentence());
            }
        }
    }

    /** @return iterable<string, array{string, string}> */
    public static function noValue(): iterable
    {
        foreach ([['1/0', 'divides by zero'], ['0^-1', 'divides by zero'], ['sqrt(-1)', 'negative'], ['(-8)^(1/3)', 'no value'], [
            '1 + "a"',
            'A number was expected, not a text',
        ], ['1 + 2 "m"', 'without a unit'],
            ['2 "m" + 3 "s"', 'do not measure the same'], ['"a" < "b"', 'put in order'], ['if 1 then 2 else 3', 'condition'],
            ['z', '“z” has no value'], ['x.c1', 'no “c1”'], ['at([1], 2)', 'no such element'], ['ln(0)', 'no value'],
            ['tan(90)', 'no value'], ['9^9^9', 'power'], ['20 "°C" + 1 "°C"', 'zero point'], ['2 "m" < 3', 'cannot be compared'],
            ['gcd(1.5, 2)', 'whole numbers']] as [$formula, $message]) {
            yield $formula => [$formula, $message];
        }
    }

    #[DataProvider('noValue')]
    public function testWhatHasNoValueEndsInAnError(string $formula, string $message): void
    {
        $this->expectException(FormulaError::class);
        $this->expectExceptionMessage($message);
        Evaluator::value(Parser::read($formula), ['x' => BigRational::of(3)], new PlainTexts());
    }

    public function testATeamMayWriteDecimalCommas(): void
    {
        $value = static fn (string $formula): string => Evaluator::words(Evaluator::value(
            Parser::read($formula, Style::Comma),
            [],
            new PlainTexts(),
        ));

        self::assertSame('1234.5', $value('1.234,5'));
        self::assertSame('2.5', $value('max(1,5; 2,5)'));
        self::assertSame('0.5', $value('0,5'));
    }

    public function testLettersThatAreAllDeclaredMultiply(): void
    {
        $names = ['x' => BigRational::of(3), 'y' => BigRational::of(4)];
        self::assertSame('24', Evaluator::words(Evaluator::value(Parser::read('2xy', Style::Point, ['x', 'y']), $names, new PlainTexts())));
        $this->expectException(FormulaError::class);
        Parser::read('2xz', Style::Point, ['x', 'y']);
    }

    public function testWritingAndReadingAgainGivesTheSameFormula(): void
    {
        $this->limitTo(400)->forAll(Generators::choose(0, PHP_INT_MAX))->then(static function (int $seed): void {
            $tree = Trees::any(new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed)), 4);
            $text = Printer::write($tree);
            self::assertTrue(Parser::read($text)->equals($tree), $text);
        });
    }

    public function testAnyTextIsReadOrRefusedAndAnyFormulaHasAValueOrAnError(): void
    {
        $this->limitTo(300)->forAll(Generators::choose(0, PHP_INT_MAX))->then(static function (int $seed): void {
            $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar($seed));
            $alphabet = mb_str_split('0123456789.,;()[]+-*/^%<>=" xyπ√²½−×é"if then else and not or min sum"'."\u{202E}\u{200D}");
            $text = '';
            for ($i = $random->getInt(1, 60); $i > 0; --$i) {
                $text .= $alphabet[$random->getInt(0, count($alphabet) - 1)];
            }
            try {
                self::assertNotNull(Evaluator::value(Parser::read($text), ['x' => BigRational::of(2), 'y' => 0.5], new PlainTexts()));
            } catch (FormulaError $e) {
                self::assertGreaterThanOrEqual(0, $e->at);
                self::assertNotSame('', $e->getMessage());
            }
        });
    }

    public function testHostileFormulasEndSoonInAnError(): void
    {
        $hostile = [
            str_repeat('(', 5000), str_repeat('-', 9000).'1', str_repeat('not ', 2000).'true', '9^9^9^9', str_repeat('9', 5000),
            str_repeat('(9^99)*', 200).'1', str_repeat('1+', 4999).'1',
            implode('*', array_fill(0, 900, '(1/3+1/7)')), str_repeat('√', 4000).'2', str_repeat('if 1<2 then ', 500).'1',
            str_repeat("\u{202E}", 9000).'1', '2^0.5^'.str_repeat('9', 50), str_repeat('[', 4000),
            'sum('.implode(',', array_fill(0, 3000, '1')).')', str_repeat('x', 9999), "\xFF\xFE", str_repeat('a.b', 3000),
            implode('+', array_map(static fn (int $i): string => "1/$i", range(2, 1500))),
        ];
        foreach ($hostile as $text) {
            try {
                self::assertNotNull(Evaluator::value(Parser::read($text), ['x' => BigRational::of(2)], new PlainTexts()));
            } catch (FormulaError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
        $this->expectException(FormulaError::class);
        Parser::read(str_repeat('1+', 500_000).'1');
    }

    public function testATreeKnowsItsNames(): void
    {
        self::assertSame(['a', 'b', 'table'], Parser::read('a + sqrt(b) * a - table.c2')->names());
        self::assertTrue(Tree::number('1/2')->equals(Parser::read('0.5')));
    }
}
