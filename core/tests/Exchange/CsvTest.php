<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Exchange;

use ChalkLadder\Core\Exchange\Csv;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CsvTest extends TestCase
{
    public function testQuotesAsTheStandardHasIt(): void
    {
        self::assertSame("\u{FEFF}a,\"b \"\"c\"\"\",\"d,e\",\"f\ng\",-3.5,\r\n", Csv::write([['a', 'b "c"', 'd,e', "f\ng", '-3.5', null]]));
    }

    /** @return iterable<array{string}> */
    public static function formulas(): iterable
    {
        yield from [['=1+1'], ['+cmd'], ['-2+3'], ['@SUM(A1)'], ["\t=1"], ["\r=1"], [' =1']];
    }

    #[DataProvider('formulas')]
    public function testASpreadsheetRunsNothing(string $cell): void
    {
        self::assertMatchesRegularExpression('/^\x{FEFF}"?\'/u', Csv::write([[$cell]]));
    }
}
