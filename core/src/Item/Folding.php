<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Unicode;

/**
 * What two texts may differ in and still be the same answer.
 *
 * Unicode NFKC (UAX #15) and full case folding come first, then what the policy names. Punctuation is folded where it is an
 * ornament: marks that end a clause, quotes, brackets, hyphens between words. What carries meaning stays: signs of numbers and
 * charges, comparisons, ratios, decimal points, operators (`(3, -4)`, `x < 3`, `2:3`, `Na+`). Folding twice changes nothing.
 */
final readonly class Folding
{
    private const QUOTES = [
        "\u{2018}" => "'",
        "\u{2019}" => "'",
        "\u{201A}" => "'",
        "\u{2032}" => "'",
        '`' => "'",
        "\u{201C}" => '"',
        "\u{201D}" => '"',
        "\u{201E}" => '"',
        "\u{2033}" => '"',
        "\u{2010}" => '-',
        "\u{2011}" => '-',
        "\u{2012}" => '-',
        "\u{2013}" => '-',
        "\u{2014}" => '-',
        "\u{2212}" => '-',
        "\u{207B}" => '-',
        "\u{00D7}" => '*',
        "\u{00F7}" => '/',
        "\u{2044}" => '/',
        "\u{2260}" => '≠',
    ];
    private const MOST_PASSES = 8;
    /** Operators hold what stands beside them; a space there says nothing. */
    private const OPERATORS = '<>=≤≥≠+*/^→⇌±×|~≈∝';

    public function __construct(
        public bool $case = true,
        public bool $accents = false,
        public bool $punctuation = true,
        public bool $articles = false,
    ) {
    }

    public function fold(string $text): string
    {
        $text = strtr(Unicode::compatible(strtr($text, self::QUOTES)), self::QUOTES);
        // Format characters (zero-width joiners, direction marks) are invisible and mean nothing here.
        $text = (string) preg_replace('/\p{Cf}+/u', '', $text);
        $text = $this->punctuation ? self::bare($text) : $text;
        if ($this->case) {
            $text = mb_convert_case($text, MB_CASE_FOLD, 'UTF-8');
        }
        if ($this->accents) {
            $text = Unicode::unaccented($text);
        }
        $text = trim((string) preg_replace('/[\p{Z}\s]+/u', ' ', $text));
        if ($this->articles) {
            do {
                $before = $text;
                $text = (string) preg_replace('/^(?:the|an|a) (?=\S)/iu', '', $text);
                // A sign that stood behind an article may stand first now.
                $text = $this->punctuation && $text !== $before ? self::bare($text) : $text;
            } while ($text !== $before);
        }

        return $text;
    }

    private static function bare(string $text): string
    {
        // What one mark leaves beside another may be an ornament by then.
        for ($i = 0; $i < self::MOST_PASSES; ++$i) {
            $before = $text;
            $text = self::withoutOrnaments($text);
            if ($text === $before) {
                break;
            }
        }

        return $text;
    }

    private static function withoutOrnaments(string $text): string
    {
        if (preg_match('/[\p{P}\p{S}]/u', $text) !== 1) {
            return $text;
        }
        $text = (string) preg_replace("/(?<=\\p{L})'(?=\\p{L})/u", '', $text);
        $text = (string) preg_replace_callback(
            '/(?<!\p{L})(?:\p{L}\.){2,}\p{L}?(?!\p{L})/u',
            static fn (array $m): string => str_replace('.', '', $m[0]),
            $text,
        );
        // Subscripts and raised charges, as they are typed: CO_2, SO4^2-.
        $text = (string) preg_replace(['/_(?=\d)/', '/\^(?=\d?[+-](?:$|[^\d]))/u'], '', $text);
        // Marks that are neither signs of mathematics nor money nor degrees.
        $text = (string) preg_replace('/["\'?!;…¿¡«»{}_\\\\]|[^\P{So}°]|\p{Sk}(?<!\^)/u', ' ', $text);
        $text = (string) preg_replace('/&+/', ' and ', $text);
        $o = preg_quote(self::OPERATORS, '/');
        $text = (string) preg_replace("/ *([$o]) */u", '$1', (string) preg_replace('/[\p{Z}\s]+/u', ' ', $text));
        $text = (string) preg_replace(
            [
                // A square bracket says something where it bounds an interval, a round one nowhere.
                '/[()]/', '/\[(?! ?[-+]?[\d.∞])|(?<![\d∞])\](?! ?[-+]?[\d.∞])/u',
                // A point or colon between figures is part of a number or ratio; a comma parts numbers.
                '/ ?:(?! ?\d)|(?<!\d)(?<!\d ): ?/u',
                '/(?<=\d) ?: ?(?=\d)/',
                '/\.(?!\d)/',
                '/(?<=\d) ?, ?(?=[-+]?[\d.])/',
                '/,(?![-+]?[\d.])|(?<!\d),/u',
                // A stroke between spaced words is a dash.
                '/(?<=\p{L}\p{L})\/(?= )|(?<= )\//u', '/(?<=\d) (?=[%°])|(?<=\p{Sc}) (?=\d)/u',
            ],
            [' ', ' ', ' ', ':', ' ', ',', ' ', ' ', ''],
            $text,
        );

        return trim((string) preg_replace("/ *([$o]) */u", '$1', self::withoutDashes($text)));
    }

    /** A hyphen between words is an ornament; a minus before or between numbers and names is not, nor is a charge. */
    private static function withoutDashes(string $text): string
    {
        $text = (string) preg_replace(['/(?<=\d) ?- ?(?=\d)/', '/(?<=^|[,:<>=≤≥≠+*\/^\[]) ?- (?=\d)/u'], '-', $text);
        $text = (string) preg_replace('/(?<!\p{L})(\p{L}|\d+) ?- ?(?=(?:\p{L}(?!\p{L})|\d))/u', '$1-', $text);

        return (string) preg_replace_callback(
            '/-+/',
            static function (array $m) use ($text): string {
                [$dash, $at] = $m[0];
                $before = substr($text, 0, $at);
                $after = substr($text, $at + strlen($dash));

                return self::isSign($before, $after) || self::isCharge($before, $after) ? '-' : ' ';
            },
            $text,
            flags: PREG_OFFSET_CAPTURE,
        );
    }

    private static function isSign(string $before, string $after): bool
    {
        $name = preg_match('/(?<!\p{L})(?:\p{L}|\d+)$/u', $before) === 1;

        return preg_match('/^ ?[\d.∞]/u', $after) === 1
            ? $name || preg_match('/\p{L}$/u', $before) !== 1
            : $name && preg_match('/^\p{L}(?!\p{L})/u', $after) === 1;
    }

    /** `Cl-`, `SO4 2-`: behind a symbol of one or two letters, or a figure. */
    private static function isCharge(string $before, string $after): bool
    {
        return preg_match('/(?:^|[ +→])(?:\p{L}{1,2}|[\p{L}\d^]*\d)$/u', $before) === 1 && preg_match('/^(?:$|[,.;+→])/u', $after) === 1;
    }

    /** @return array<string, bool> */
    public function toArray(): array
    {
        return ['case' => $this->case, 'accents' => $this->accents, 'punctuation' => $this->punctuation, 'articles' => $this->articles];
    }
}
