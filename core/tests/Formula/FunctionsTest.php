<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Functions;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Item\Texts;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every function of the table, with the edges a teacher's formula comes to. Texts are compared as the answer rules do. */
final class FunctionsTest extends TestCase
{
    private const VALUES = [
        'abs' => ['abs(0)' => '0', 'abs(-7/2)' => '3.5', 'abs(-2 "m")' => '2 m'],
        'round' => [
            'round(0.5)' => '1',
            'round(-0.5)' => '0',
            'round(1250, -2)' => '1300',
            'round(-1250, -2)' => '-1200',
            'round(1/3, 4)' => '0.3333',
            'round(2.5 "°C")' => '3 °C',
        ],
        'floor' => ['floor(2)' => '2', 'floor(-0.1)' => '-1'],
        'ceil' => ['ceil(2)' => '2', 'ceil(-0.9)' => '0'],
        'sqrt' => ['sqrt(0)' => '0', 'sqrt(0.25)' => '0.5', 'sqrt(2) * sqrt(8) = 4' => 'true'],
        'gcd' => ['gcd(0, 5)' => '5', 'gcd(-12, 18)' => '6', 'gcd(7, 9)' => '1'],
        'lcm' => ['lcm(-4, 6)' => '12', 'lcm(0, 3)' => '0'],
        'mod' => ['mod(23 + 3, 24)' => '2', 'mod(5, -3)' => '2'],
        'sin' => ['sin(90)' => '1', 'sin(0)' => '0'],
        'cos' => ['cos(0)' => '1', 'within(cos(90), 0, 1e-12)' => 'true'],
        'tan' => ['within(tan(45), 1, 1e-12)' => 'true'],
        'asin' => ['asin(1)' => '90', 'within(asin(0.5), 30, 1e-12)' => 'true'],
        'acos' => ['acos(1)' => '0', 'within(acos(0.5), 60, 1e-12)' => 'true'],
        'atan' => ['atan(1)' => '45', 'atan(-1)' => '-45'],
        'exp' => ['exp(0)' => '1', 'within(exp(1), 2.718281828, 1e-8)' => 'true'],
        'ln' => ['ln(1)' => '0', 'within(ln(exp(3)), 3, 1e-12)' => 'true'],
        'log' => ['log(1)' => '0', 'within(log(0.01), -2, 1e-12)' => 'true'],
        'min' => ['min(2 "m", 150 "cm")' => '150 cm', 'min(-1)' => '-1'],
        'max' => ['max([1/3, 0.3])' => '1/3', 'max(2 "m", 150 "cm")' => '2 m'],
        'sum' => ['sum([])' => '0', 'sum([1/3, 1/3, 1/3])' => '1', 'sum(1 "m", 20 "cm")' => '1.2 m'],
        'mean' => ['mean(1, 2, 4)' => '7/3', 'mean(1 "m", 2 "m")' => '1.5 m'],
        'median' => ['median([4, 1, 3, 2])' => '2.5', 'median([9])' => '9', 'median(3, 1, 2)' => '2'],
        'count' => ['count([])' => '0', 'count([[1, 2], 3])' => '2'],
        'at' => ['at(["ebb", "flood"], 1)' => 'ebb'],
        'ratios' => ['ratios([6, 9], [2, 3])' => '3, 3', 'ratios([], [])' => ''],
        'constant' => [
            'constant(ratios([6, 9, 12], [2, 3, 4]))' => 'true',
            'constant([1, 1.5])' => 'false',
            'constant([2 "m", 200 "cm"])' => 'true',
            'constant([])' => 'true',
        ],
        'within' => [
            'within(4.2, 4, 0.2)' => 'true',
            'within(4.21, 4, 0.2)' => 'false',
            'within(3.8, 4, 0.2)' => 'true',
            'within(410 "cm", 4 "m", 10 "cm")' => 'true',
        ],
        'sigfigs' => ['sigfigs("0.050")' => '2', 'sigfigs("1200")' => '2', 'sigfigs("3.00")' => '3', 'sigfigs("ebb")' => '0'],
        'number' => ['number("4,5")' => '4.5', 'number("½")' => '0.5', 'number(90 "min", "h")' => '1.5', 'number(7)' => '7'],
        'matches' => [
            'matches("It is a Spring tide", "* spring tide")' => 'true',
            'matches("neap tide", "_ tide")' => 'true',
            'matches("tide", "_ tide")' => 'false',
        ],
        'same' => [
            'same("EBB", "ebb")' => 'true',
            'same("Flöß", "Floß")' => 'false',
            'same("High  Water", "high water")' => 'true',
            'same("ebb", "ebbs")' => 'false',
        ],
        'distance' => [
            'distance("ebb", "ebb")' => '0',
            'distance("recieve", "receive")' => '1',
            'distance("ebb", "eb")' => '1',
            'distance("a", "kelpwick harbour")' => '9',
        ],
        'length' => ['length("")' => '0', 'length("Flöß")' => '4'],
        'contains' => [
            'contains("The Moon pulls", "moon")' => 'true',
            'contains("moonlight", "moon")' => 'false',
            'contains("moon", "")' => 'false',
        ],
    ];

    private const ERRORS = [
        'asin(2)' => 'no value', 'log(-1)' => 'no value', 'exp(1000)' => 'no value', 'mod(1, 0)' => 'divides by zero',
        'lcm(0, 0)' => 'divides by zero',
        'mean([])' => 'mean of an empty list has no value', 'min([])' => 'min of an empty list has no value',
        'median(["a", "b"])' => 'A number was expected, not a text', 'count(3)' => 'A list was expected, not a number',
        'at([1, 2], 0)' => 'A whole number from 1 to 1000 was expected',
        'at([1, 2], 1.5)' => 'A whole number from 1 to 1000 was expected', 'round(1, 13)' => 'A whole number from -12 to 12 was expected',
        'ratios([1], [1, 2])' => 'not of the same length', 'ratios([1], [0])' => 'divides by zero',
        'number("ebb")' => 'This text is not a number', 'number(2 "m", "kg")' => 'm is not measured in kg',
        'number(2 "m", "fog")' => 'unit is not known',
        'length(3)' => 'A text was expected, not a number', 'sin(2 "m")' => 'takes an angle or a plain number',
        'abs("a")' => 'A number was expected, not a text', 'gcd(1, 2, 3)' => 'gcd takes 2 arguments, not 3',
    ];

    public function testEveryFunctionHasExamples(): void
    {
        self::assertSame([], array_diff(Functions::names(), array_keys(self::VALUES)));
    }

    /** @return iterable<string, array{string, string}> */
    public static function values(): iterable
    {
        foreach (self::VALUES as $rows) {
            foreach ($rows as $formula => $words) {
                yield $formula => [$formula, $words];
            }
        }
    }

    #[DataProvider('values')]
    public function testWorksOut(string $formula, string $words): void
    {
        self::assertSame($words, Evaluator::words(Evaluator::value(Parser::read($formula), [], new Texts())));
    }

    /** @return iterable<string, array{string, string}> */
    public static function errors(): iterable
    {
        foreach (self::ERRORS as $formula => $message) {
            yield $formula => [$formula, $message];
        }
    }

    #[DataProvider('errors')]
    public function testSaysWhyThereIsNoValue(string $formula, string $message): void
    {
        $this->expectException(FormulaError::class);
        $this->expectExceptionMessage($message);
        Evaluator::value(Parser::read($formula), [], new Texts());
    }
}
