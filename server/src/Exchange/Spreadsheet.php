<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use Symfony\Component\Serializer\Encoder\CsvEncoder;

/**
 * Tables as CSV (RFC 4180, UTF-8 with a byte-order mark so that spreadsheets read accents). A cell that a spreadsheet would
 * run as a formula gets an apostrophe in front, unless it is a plain number.
 */
final class Spreadsheet
{
    /** What a formula may begin with: the signs, their full-width forms, and what some programs skip before them. */
    private const BEGINS_FORMULA = '/^[\s\p{Z}\p{C}]*[=+\-@\x{FF1D}\x{FF0B}\x{FF0D}\x{FF20}\x{2212}]|^[\t\r]/u';
    private const PLAIN_NUMBER = '/^-?\d+(?:\.\d+)?$/D';

    /**
     * @param list<string>                      $header
     * @param list<list<string|int|float|null>> $rows
     */
    public static function csv(array $header, array $rows): string
    {
        $table = [$header];
        foreach ($rows as $row) {
            $table[] = array_map(self::tame(...), $row);
        }

        return (new CsvEncoder())->encode(
            $table,
            CsvEncoder::FORMAT,
            [CsvEncoder::NO_HEADERS_KEY => true, CsvEncoder::OUTPUT_UTF8_BOM_KEY => true, CsvEncoder::END_OF_LINE => "\r\n"],
        );
    }

    private static function tame(string|int|float|null $value): string
    {
        $text = (string) $value;

        return preg_match(self::BEGINS_FORMULA, $text) === 1 && preg_match(self::PLAIN_NUMBER, $text) !== 1 ? "'".$text : $text;
    }
}
