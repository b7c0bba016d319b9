<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * Reads numbers the way students write them, exactly.
 *
 * Understood: `-3`, `−3` (U+2212), `1,234.5`, `1 234.5` (thin and non-breaking spaces, apostrophes), `0,5` (a comma that cannot
 * separate thousands is a decimal comma), `0·5`, `7/2`, `-7/-2`, `2 1/2`, `2 + 1/2`, `½`, `2½`, `50 %`, `3.2e-4`, `3.2×10^-4`,
 * `3.2 x 10⁴`, `45k`, `2.5 million`, full-width digits, numbers in words ({@see NumberWords}), recurring decimals
 * ({@see Recurring}), measures in several units ({@see CompoundMeasure}), and what people write around them ({@see AsTyped}).
 * A unit may follow. Anything else is not a number: null.
 */
final class NumberText
{
    private const LONGEST = 100;
    private const LARGEST_EXPONENT = 30;
    private const MULTIPLES = [
        'dozen' => 12, 'hundred' => 100, 'thousand' => 1000, 'thousands' => 1000, 'k' => 1000, 'million' => 1_000_000,
        'millions' => 1_000_000, 'mio' => 1_000_000, 'mill' => 1_000_000, 'mln' => 1_000_000, 'billion' => 1_000_000_000, 'billions' => 1_000_000_000, 'bn' => 1_000_000_000,
        'trillion' => 1_000_000_000_000,
    ];
    /** Letters that are units as well: million only where no such unit is asked for. */
    private const MULTIPLES_OR_UNITS = ['m' => 1_000_000, 'M' => 1_000_000, 'K' => 1000, 'b' => 1_000_000_000, 'B' => 1_000_000_000];

    /** The first of the readings. */
    public static function read(string $text, Style $style = Style::Point): ?ReadNumber
    {
        foreach (self::readings($text, $style) as $reading) {
            return $reading;
        }

        return null;
    }

    /**
     * Every way in which it can be read, the plainest first: `2.5m` is 2.5 with the unit m, or two and a half million; `3m5` is 3 m 5
     * or 3 to the unit m⁵. Whoever knows which unit is asked for takes the first that fits.
     *
     * @return iterable<ReadNumber>
     */
    public static function readings(string $text, Style $style = Style::Point): iterable
    {
        if (strlen($text) > self::LONGEST || !mb_check_encoding($text, 'UTF-8')) {
            return;
        }
        $text = AsTyped::plain($text);
        $figures = self::figures($text, $style);
        $words = NumberWords::figures($text);
        $inWords = $words === null ? null : self::figures($words, Style::Point);
        // What follows the figures may be part of the number: 1 half, 2 dozen.
        if ($inWords !== null && ($figures === null || Unit::named($figures->unit) === null)) {
            yield $inWords;
        }
        if ($figures !== null) {
            yield $figures;
            $multiple = preg_match('/^([mMKbB])(?: (\p{Sc}))?$/Du', $figures->unit, $m) === 1 ? self::MULTIPLES_OR_UNITS[$m[1]] : null;
            if ($multiple !== null) {
                yield self::scaled($figures, $multiple, $m[2] ?? '');
            }
        }
        if (preg_match('/^[+-]?.*\d.*[\p{L}°\'"\p{Sc}].*\d|^\p{Sc} ?\d+ .*\d/Dsu', $text) === 1) {
            $sign = str_starts_with($text, '-') ? '-' : '';
            $compound = CompoundMeasure::read(ltrim($text, '+- '));
            if ($compound !== null) {
                yield $sign === '' ? $compound : $compound->negated();
            }
        }
        if ($words !== null) {
            $compound = CompoundMeasure::read(NumberWords::throughout($text));
            if ($compound !== null) {
                yield $compound;
            }
        }
        $same = self::sameTwice($text, $style);
        if ($same !== null) {
            yield $same;
        }
    }

    /** `0.5 = 1/2`, `1/2 or 0.5`: the same number more than once. */
    private static function sameTwice(string $text, Style $style): ?ReadNumber
    {
        $parts = preg_split('/ ?= ?| or /u', $text);
        if ($parts === false || count($parts) < 2 || count($parts) > 4) {
            return null;
        }
        $first = null;
        foreach ($parts as $part) {
            $read = self::figures($part, $style);
            if ($read === null || ($first !== null && (!$read->value->isEqualTo($first->value) || $read->unit !== $first->unit))) {
                return null;
            }
            $first = $read;
        }

        return $first;
    }

    /** @param string $text plain */
    private static function figures(string $text, Style $style): ?ReadNumber
    {
        if ($style === Style::Comma) {
            $text = self::withPoints($text);
        }
        if (preg_match('/^([+-]?) ?(\p{Sc}) ?(.*)$/Dsu', $text, $m) === 1) {
            $text = $m[1].$m[3].' '.$m[2];
        }
        if (preg_match('/^([+-]?) ?(?=\d*\.)/D', $text, $m) === 1) {
            $recurring = Recurring::read(substr($text, strlen($m[0])));
            if ($recurring !== null) {
                return self::finish($m[1], $recurring[0], 'decimal', 0, $recurring[1], $text);
            }
        }
        $sign = '([+-]?) ?';
        $decimal = '(\d[\d,\' ]*(?:\.\d+)?|\.\d+)';
        if (preg_match("#^{$sign}(\d{1,12})(?: | ?\+ ?)(\d{1,12}) ?/ ?(\d{1,12})(?![\d.,])(.*)$#Du", $text, $m) === 1) {
            $value = self::fraction($m[3], $m[4]);

            return $value === null ? null : self::finish($m[1], $value->plus($m[2]), 'mixed', 0, $m[5], $text);
        }
        if (preg_match("#^{$sign}(\d{1,12}) ?/ ?(-?) ?(\d{1,12})(?![\d.,])(.*)$#Du", $text, $m) === 1) {
            $value = self::fraction($m[2], $m[4]);
            $minus = ($m[1] === '-') !== ($m[3] === '-');

            return $value === null ? null : self::finish($minus ? '-' : '', $value, 'fraction', 0, $m[5], $text);
        }
        if (preg_match("#^{$sign}10 ?\^ ?\(?([+-]?\d{1,3})\)?(?!\d)(.*)$#Du", $text, $m) === 1) {
            return self::powered($m[1], '1', 0, (int) $m[2], $m[3], $text);
        }
        if (preg_match("#^{$sign}{$decimal}(?: ?\* ?10 ?\^ ?\(?([+-]?\d{1,3})\)?|[eE]([+-]?\d{1,3})(?![\w.]))?(.*)$#Du", $text, $m) === 1) {
            $digits = self::digits(trim($m[2]));
            if ($digits === null) {
                return null;
            }
            $point = strpos($digits, '.');
            $decimals = $point === false ? 0 : strlen($digits) - $point - 1;
            $exponent = $m[3] !== '' ? (int) $m[3] : ($m[4] !== '' ? (int) $m[4] : null);

            return $exponent === null
                ? self::finish($m[1], BigRational::of($digits), $decimals > 0 ? 'decimal' : 'integer', $decimals, $m[5], $text)
                : self::powered($m[1], $digits, $decimals, $exponent, $m[5], $text);
        }

        return null;
    }

    private static function powered(string $sign, string $digits, int $decimals, int $exponent, string $rest, string $text): ?ReadNumber
    {
        if (abs($exponent) > self::LARGEST_EXPONENT) {
            return null;
        }
        $power = BigRational::of(10)->power(abs($exponent));
        $value = BigRational::of($digits);

        return self::finish(
            $sign,
            $exponent < 0 ? $value->dividedBy($power) : $value->multipliedBy($power),
            'standard',
            $decimals,
            $rest,
            $text,
        );
    }

    /** In the comma style a full stop, space or apostrophe before three digits parts thousands, and the comma is the decimal sign. */
    private static function withPoints(string $text): string
    {
        if (preg_match('/^(\D*)(\d{1,3}(?:\.\d{3})+|\d+)(?:,(\d+))?(?![\d.,])(.*)$/Dsu', $text, $m) === 1) {
            return $m[1].str_replace('.', '', $m[2]).($m[3] === '' ? '' : '.'.$m[3]).$m[4];
        }

        return $text;
    }

    private static function scaled(ReadNumber $read, int $factor, string $unit): ReadNumber
    {
        return new ReadNumber(
            $read->value->multipliedBy($factor)->simplified(),
            $unit,
            'multiple',
            $read->decimals,
            $read->written,
        );
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

    /** Significant figures of a number as it was written; trailing zeros behind the point count. 0 when it is none. */
    public static function significantFigures(string $text, Style $style = Style::Point): int
    {
        $read = self::read($text, $style);

        return $read === null ? 0 : self::figuresOf($read);
    }

    public static function figuresOf(ReadNumber $read): int
    {
        if (!in_array($read->form, ['integer', 'decimal', 'standard', 'percent', 'multiple'], true)) {
            return 0;
        }
        preg_match('/^[^\d.]*([\d.,\' ]+)/u', $read->written, $m);
        $digits = self::digits(trim($m[1] ?? '', " '")) ?? '';
        $bare = ltrim(str_replace('.', '', $digits), '0');

        return strlen(str_contains($digits, '.') || in_array($read->form, ['standard', 'multiple'], true) ? $bare : rtrim($bare, '0'));
    }

    /** Whether the fraction as it was written cannot be reduced, and is proper where it follows a whole number. */
    public static function inLowestTerms(ReadNumber $read): bool
    {
        if (preg_match('#(?:(\d+)[ +]+)?(\d{1,12}) ?/ ?(-?) ?(\d{1,12})#', $read->written, $m) !== 1) {
            return true;
        }
        [$over, $under] = [(int) $m[2], (int) $m[4]];

        return $m[3] === '' && $under > 0 && self::commonDivisor($over, $under) === 1 && ($m[1] === '' || $over < $under);
    }

    /** What stands before the power of ten of a number in standard form. */
    public static function mantissa(ReadNumber $read): ?BigRational
    {
        return preg_match('/^([+-]? ?[\d.,]+) ?(?:\* ?10|e)/i', $read->written, $m) === 1
            ? self::figures($m[1], Style::Point)?->value
            : (str_starts_with($read->written, '10') ? BigRational::one() : null);
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
        if (preg_match("/^\d{1,3}(?:[ ']\d{3})+(?:[.,]\d+)?$/D", $text) === 1) {
            return str_replace([' ', "'", ','], ['', '', '.'], $text);
        }
        if (preg_match('/^\d+,\d+$/D', $text) === 1) {
            return str_replace(',', '.', $text);
        }
        if (preg_match('/^(?:\d+(?:\.\d+)?|\.\d+)$/D', $text) === 1) {
            return $text[0] === '.' ? '0'.$text : $text;
        }

        return null;
    }

    private static function finish(string $sign, BigRational $value, string $form, int $decimals, string $rest, string $text): ?ReadNumber
    {
        $rest = trim($rest);
        if (in_array($rest, ['%', 'per cent', 'percent', 'pct'], true)) {
            $value = $value->dividedBy(100);
            $form = 'percent';
            $rest = '';
        }
        if (preg_match('/^(\p{L}+)(?: (.+)| ?(\p{Sc}))?$/Du', $rest, $m) === 1 && isset(self::MULTIPLES[mb_strtolower($m[1])]) && $m[1] !== 'K') {
            $value = $value->multipliedBy(self::MULTIPLES[mb_strtolower($m[1])]);
            $form = 'multiple';
            $rest = ($m[2] ?? '').($m[3] ?? '');
        }
        // A unit holds letters, degrees, slashes and powers. Signs or a second number are not a unit.
        $factor = '[\p{L}°\'"µ\p{Sc}]+\.?(?:\^?-?\d)?';
        if ($rest !== '' && preg_match("#^{$factor}(?:\s*[·*/.]\s*{$factor}|\s{$factor}){0,5}$#Du", $rest) !== 1) {
            return null;
        }
        if ($sign === '-') {
            $value = $value->negated();
        }

        return new ReadNumber($value->simplified(), $rest, $form, $decimals, $text);
    }
}
