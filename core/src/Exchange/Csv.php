<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Exchange;

/**
 * Writes CSV as RFC 4180 has it: CRLF, quotes doubled, UTF-8 with a byte-order mark so that spreadsheets read accents.
 *
 * A cell that a spreadsheet would run as a formula (it begins with = + - @, a tab or a carriage return) gets an
 * apostrophe in front, unless it is a plain number.
 */
final class Csv
{
    /** @param list<list<string|int|float|null>> $rows */
    public static function write(array $rows): string
    {
        return "\u{FEFF}".implode('', array_map(static fn (array $row): string => implode(',', array_map(self::cell(...), $row))."\r\n", $rows));
    }

    private static function cell(string|int|float|null $value): string
    {
        $text = (string) $value;
        if (preg_match('/^\s*[=+\-@\t\r]/', $text) === 1 && preg_match('/^-?\d+(?:\.\d+)?$/D', $text) !== 1) {
            $text = "'".$text;
        }

        return preg_match('/[",\r\n]/', $text) === 1 ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
