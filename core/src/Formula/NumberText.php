<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * Reads numbers the way students write them, exactly.
 *
 * Understood: `-3`, `−3` (U+2212), `1,234.5`, `1 234.5` (thin and non-breaking spaces), `0,5` (a comma that cannot
 * separate thousands is a decimal comma), `7/2`, `2 1/2`, `½`, `2½`, `50 %`, `3.2e-4`, `3.2×10^-4`, full-width digits.
 * A unit may follow. Anything else is not a number: null.
 */
final class NumberText
{
    private const LONGEST = 100;
    private const LARGEST_EXPONENT = 30;
    private const VULGAR = [
        '½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅕' => '1/5', '⅖' => '2/5',
        '⅗' => '3/5', '⅘' => '4/5', '⅙' => '1/6', '⅚' => '5/6', '⅐' => '1/7', '⅛' => '1/8', '⅜' => '3/8',
        '⅝' => '5/8', '⅞' => '7/8', '⅑' => '1/9', '⅒' => '1/10',
    ];

    /** In the comma style a full stop before three digits parts thousands: `1.234,5`. */
    public static function read(string $text, Style $style = Style::Point): ?ReadNumber
    {
        if (strlen($text) > self::LONGEST || !mb_check_encoding($text, 'UTF-8')) {
            return null;
        }
        // Plain letters and digits, the usual case, are in their normal form already.
        $text = preg_match('/[^\x20-\x7E]/', $text) !== 1 ? $text : strtr(
            Unicode::compatible(self::vulgarApart($text)),
            [
                "\u{2212}" => '-',
                "\u{2010}" => '-',
                "\u{2013}" => '-',
                "\u{2044}" => '/',
                "\u{2215}" => '/',
                "\u{00D7}" => '*',
                "\u{00B7}" => '*',
            ],
        );
        $text = trim((string) preg_replace('/[\p{Z}\s]+/u', ' ', $text));
        // A full stop that ends the sentence is not part of the number.
        $text = (string) preg_replace('/(?<=\w)\.$/Du', '', $text);

        if ($style === Style::Comma && preg_match('/^(\D*)(\d{1,3}(?:\.\d{3})+)(?:,(\d+))?(?![\d.,])(.*)$/Dsu', $text, $m) === 1) {
            $text = $m[1].str_replace('.', '', $m[2]).($m[3] === '' ? '' : '.'.$m[3]).$m[4];
        }
        if (preg_match('/^([+-]?) ?(\p{Sc}) ?(.*)$/Dsu', $text, $m) === 1) {
            $text = $m[1].$m[3].' '.$m[2];
        }
        $sign = '([+-]?) ?';
        $decimal = '(\d[\d,\' ]*(?:\.\d+)?|\.\d+)';
        if (preg_match("#^{$sign}(\d{1,12}) (\d{1,12}) ?/ ?(\d{1,12})(?![\d.,])(.*)$#Du", $text, $m) === 1) {
            $value = self::fraction($m[3], $m[4]);

            return $value === null ? null : self::finish($m[1], $value->plus($m[2]), 'mixed', 0, $m[5]);
        }
        if (preg_match("#^{$sign}(\d{1,12}) ?/ ?(\d{1,12})(?![\d.,])(.*)$#Du", $text, $m) === 1) {
            $value = self::fraction($m[2], $m[3]);

            return $value === null ? null : self::finish($m[1], $value, 'fraction', 0, $m[4]);
        }
        if (preg_match("#^{$sign}{$decimal}(?: ?\* ?10 ?\^ ?\(?([+-]?\d{1,3})\)?|[eE]([+-]?\d{1,3})(?![\w.]))?(.*)$#Du", $text, $m) === 1) {
            $digits = self::digits(trim($m[2]));
            if ($digits === null) {
                return null;
            }
            $point = strpos($digits, '.');
            $decimals = $point === false ? 0 : strlen($digits) - $point - 1;
            $exponent = $m[3] !== '' ? (int) $m[3] : ($m[4] !== '' ? (int) $m[4] : null);
            if ($exponent !== null && abs($exponent) > self::LARGEST_EXPONENT) {
                return null;
            }
            $value = BigRational::of($digits);
            if ($exponent !== null) {
                $power = BigRational::of(10)->power(abs($exponent));
                $value = $exponent < 0 ? $value->dividedBy($power) : $value->multipliedBy($power);
            }
            $form = $exponent !== null ? 'standard' : ($decimals > 0 ? 'decimal' : 'integer');

            return self::finish($m[1], $value, $form, $decimals, $m[5]);
        }

        return null;
    }

    /** Writes a rational the short way: a decimal when it ends within 6 places, otherwise a fraction. */
    public static function write(BigRational $value): string
    {
        $value = $value->simplified();
        $under = (string) $value->getDenominator();
        // A decimal of at most 6 places has at most 10⁶ below the line.
        if (strlen($under) > 7) {
            return (string) $value;
        }
        $places = 0;
        $rest = (int) $under;
        for (; $rest > 1 && $places <= 6; ++$places) {
            $rest = intdiv($rest, self::commonDivisor($rest, 10));
            if ($rest !== 1 && self::commonDivisor($rest, 10) === 1) {
                return (string) $value;
            }
        }
        if ($rest === 1 && $places <= 6) {
            return (string) $value->toScale($places);
        }

        return (string) $value;
    }

    /** `2½` becomes `2 1/2`. */
    private static function vulgarApart(string $text): string
    {
        foreach (self::VULGAR as $sign => $fraction) {
            $text = str_replace($sign, ' '.$fraction, $text);
        }

        return $text;
    }

    /** Significant figures of a number as it was written; trailing zeros behind the point count. 0 when it is none. */
    public static function significantFigures(string $text): int
    {
        $read = self::read($text);
        if ($read === null || !in_array($read->form, ['integer', 'decimal', 'standard', 'percent'], true)) {
            return 0;
        }
        preg_match('/^[^\d.]*([\d.,\' ]+)/u', Unicode::compatible($text), $m);
        $digits = self::digits(trim($m[1] ?? '', " '")) ?? '';
        $bare = ltrim(str_replace('.', '', $digits), '0');

        return strlen(str_contains($digits, '.') || $read->form === 'standard' ? $bare : rtrim($bare, '0'));
    }

    /** Whether the fraction as it was written cannot be reduced, and is proper where it follows a whole number. */
    public static function inLowestTerms(string $text): bool
    {
        $text = self::vulgarApart($text);
        if (preg_match('#(?:(\d+)\s+)?(\d{1,12})\s*[/⁄∕]\s*(\d{1,12})#u', Unicode::compatible($text), $m) !== 1) {
            return true;
        }
        [$over, $under] = [(int) $m[2], (int) $m[3]];

        return $under > 0 && self::commonDivisor($over, $under) === 1 && ($m[1] === '' || $over < $under);
    }

    /** What stands before the power of ten of a number in standard form. */
    public static function mantissa(string $text): ?BigRational
    {
        if (preg_match('/^\s*([+-−]?\s*[\d.,]+)\s*(?:[×·*xX]\s*10|e)/iu', Unicode::compatible($text), $m) !== 1) {
            return null;
        }

        return self::read($m[1])?->value;
    }

    private static function commonDivisor(int $a, int $b): int
    {
        while ($b !== 0) {
            [$a, $b] = [$b, $a % $b];
        }

        return $a;
    }

    private static function fraction(string $over, string $under): ?BigRational
    {
        return (int) $under === 0 ? null : BigRational::nd($over, $under);
    }

    /** Settles what commas and spaces mean; null when the grouping makes no sense. */
    private static function digits(string $text): ?string
    {
        if (preg_match('/^\d{1,3}(?:,\d{3})+(?:\.\d+)?$/D', $text) === 1 && !str_starts_with($text, '0')) {
            return str_replace(',', '', $text);
        }
        if (preg_match("/^\d{1,3}(?:[ ']\d{3})+(?:\.\d+)?$/D", $text) === 1) {
            return str_replace([' ', "'"], '', $text);
        }
        if (preg_match('/^\d+,\d+$/D', $text) === 1) {
            return str_replace(',', '.', $text);
        }
        if (preg_match('/^(?:\d+(?:\.\d+)?|\.\d+)$/D', $text) === 1) {
            return $text[0] === '.' ? '0'.$text : $text;
        }

        return null;
    }

    private static function finish(string $sign, BigRational $value, string $form, int $decimals, string $rest): ?ReadNumber
    {
        $rest = trim($rest);
        if ($rest === '%' || $rest === 'per cent' || $rest === 'percent') {
            $value = $value->dividedBy(100);
            $form = 'percent';
            $rest = '';
        }
        // A unit holds letters, degrees, slashes and powers. Signs or a second number are not a unit.
        $factor = '[\p{L}°\'"µ\p{Sc}]+(?:\^?-?\d)?';
        if ($rest !== '' && preg_match("#^{$factor}(?:\s*[·*/]\s*{$factor}|\s{$factor}){0,5}$#Du", $rest) !== 1) {
            return null;
        }
        if ($sign === '-') {
            $value = $value->negated();
        }

        return new ReadNumber($value->simplified(), $rest, $form, $decimals);
    }
}
