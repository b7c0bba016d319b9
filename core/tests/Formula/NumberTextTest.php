<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use Brick\Math\BigRational;
use ChalkLadder\Core\Formula\NumberText;
use Eris\Generators;
use Eris\TestTrait;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class NumberTextTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, string, string, string}> text, exact value, unit, form */
    public static function asStudentsWrite(): iterable
    {
        $rows = [
            ['7', '7', '', 'integer'], ['-3', '-3', '', 'integer'], ["\u{2212}3.5", '-7/2', '', 'decimal'], ['+4', '4', '', 'integer'],
            ['.5', '1/2', '', 'decimal'], ['0,5', '1/2', '', 'decimal'], ['1,234.5', '2469/2', '', 'decimal'],
            ['1,234', '1234', '', 'integer'],
            ["1\u{2009}234", '1234', '', 'integer'], ["12\u{00A0}000 m", '12000', 'm', 'integer'], ['7/2', '7/2', '', 'fraction'],
            ['7⁄2', '7/2', '', 'fraction'], ['2 1/2', '5/2', '', 'mixed'], ['½', '1/2', '', 'fraction'], ['2½', '5/2', '', 'mixed'],
            ['-2½', '-5/2', '', 'mixed'],
            ['50 %', '1/2', '', 'percent'], ['12.5%', '1/8', '', 'percent'], ['3.2e-4', '1/3125', '', 'standard'],
            ['3.2×10^-4', '1/3125', '', 'standard'],
            ['3.2*10^(2)', '320', '', 'standard'], ['３．５', '7/2', '', 'decimal'], ['3.65 m', '73/20', 'm', 'decimal'],
            ['3.65m', '73/20', 'm', 'decimal'],
            ['250°', '250', '°', 'integer'], ['5 m/s', '5', 'm/s', 'integer'], ['4 nautical miles', '4', 'nautical miles', 'integer'],
            ['5.', '5', '', 'integer'],
            ['3.65 m.', '73/20', 'm', 'decimal'], ['045', '45', '', 'integer'],
        ];
        foreach ($rows as $row) {
            yield $row[0] => $row;
        }
    }

    #[DataProvider('asStudentsWrite')]
    public function testReadsNumbersAsStudentsWriteThem(string $text, string $value, string $unit, string $form): void
    {
        $read = NumberText::read($text);

        self::assertNotNull($read);
        self::assertTrue($read->value->isEqualTo($value), "$text was read as {$read->value}");
        self::assertSame($unit, $read->unit);
        self::assertSame($form, $read->form);
    }

    /** @return iterable<string, array{string}> */
    public static function notNumbers(): iterable
    {
        foreach ([
            '',
            ' ',
            '1,23,4',
            '12 m 5',
            '3/0',
            '1 2/0',
            '1e999',
            '--3',
            '3+4',
            '1/2/3',
            '1.2.3',
            'e5',
            '5 <b>',
            "\xFF",
            str_repeat('9', 200),
        ] as $text) {
            yield $text === '' ? 'empty' : bin2hex(substr($text, 0, 12)) => [$text];
        }
    }

    #[DataProvider('notNumbers')]
    public function testRefusesWhatIsNotANumber(string $text): void
    {
        self::assertNull(NumberText::read($text));
    }

    public function testWritingAndReadingAgainGivesTheSameNumber(): void
    {
        $this->forAll(Generators::choose(-1_000_000, 1_000_000), Generators::choose(1, 5000))
            ->then(static function (int $over, int $under): void {
                $value = BigRational::nd($over, $under)->simplified();
                $read = NumberText::read(NumberText::write($value));
                self::assertNotNull($read);
                self::assertTrue($read->value->isEqualTo($value));
            });
    }

    public function testAnyTextIsDecidedWithoutAWarning(): void
    {
        $this->forAll(Generators::string())->then(static function (string $text): void {
            $read = NumberText::read($text);
            self::assertTrue($read === null || $read->value->getDenominator()->isPositive());
        });
    }

    public function testHostileLengthsAreRefusedAtOnce(): void
    {
        self::assertNull(NumberText::read(str_repeat('1,', 500_000)));
    }
}
