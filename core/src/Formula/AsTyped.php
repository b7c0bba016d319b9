<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/**
 * A number as it is typed, brought to one way of writing: signs, dashes, superscripts, raised points, spaces, brackets, and
 * what people write before and after it (`x = …`, `about …`, a full stop). What it says is not changed.
 */
final class AsTyped
{
    public const VULGAR = [
        '½' => '1/2', '⅓' => '1/3', '⅔' => '2/3', '¼' => '1/4', '¾' => '3/4', '⅕' => '1/5', '⅖' => '2/5',
        '⅗' => '3/5', '⅘' => '4/5', '⅙' => '1/6', '⅚' => '5/6', '⅐' => '1/7', '⅛' => '1/8', '⅜' => '3/8',
        '⅝' => '5/8', '⅞' => '7/8', '⅑' => '1/9', '⅒' => '1/10',
    ];
    private const SIGNS = [
        "\u{2212}" => '-', "\u{2010}" => '-', "\u{2011}" => '-', "\u{2012}" => '-', "\u{2013}" => '-', "\u{2014}" => '-',
        "\u{2015}" => '-', "\u{2044}" => '/', "\u{2215}" => '/', "\u{00F7}" => '/', "\u{00D7}" => '*', "\u{00B7}" => '*',
        "\u{22C5}" => '*', "\u{2219}" => '*', "\u{2019}" => "'", "\u{2018}" => "'", "\u{2032}" => "'", "\u{02BC}" => "'",
        "\u{2033}" => '"', "\u{201D}" => '"', "\u{00BA}" => '°', "\u{02DA}" => '°',
    ];
    private const SUPERSCRIPTS = [
        '⁰' => '0', '¹' => '1', '²' => '2', '³' => '3', '⁴' => '4', '⁵' => '5', '⁶' => '6', '⁷' => '7', '⁸' => '8', '⁹' => '9',
        '⁻' => '-', '⁺' => '',
    ];
    /** A name or a few words with an equals sign, or words that say that a number follows. */
    private const BEFORE = '/^(?:(?:\p{L}[\p{L}\d_]{0,19}(?: \p{L}{1,20}){0,3} ?)?[=≈~] ?'
        .'|(?:the )?ans(?:wer)?(?: is| ?:)? |(?:about|approx(?:imately)?\.?|roughly) )(?=\S)/iu';
    private const AFTER = '/(?<=\S) ?(?:\(?approx(?:imately|\.)?\)?|= ?\p{L})$/Diu';
    /** Signs that are said in words, and those of typesetting. */
    private const SAID = [
        '/ (?:over|divided by) /iu' => '/', '/ (?:times|multiplied by) /iu' => '*', '/ ?\bsquared\b/iu' => '^2', '/ ?\bcubed\b/iu' => '^3',
        '/ to the power(?: of)? (?:minus |(-))?(?=\d)/iu' => '^$1', '/\\\\sqrt ?\{([^{}]*)\}/u' => '√($1)',
        '/\\\\(?:d?frac) ?\{([^{}]*)\} ?\{([^{}]*)\}/u' => '(($1)/($2))', '/\\\\(?:times|cdot)\b ?/u' => '*', '/\\\\pi\b/u' => 'π',
        '/\\\\left|\\\\right/u' => '', '/\^ ?\{([^{}]*)\}/u' => '^($1)',
    ];

    public static function plain(string $text): string
    {
        // Plain digits with a plain unit, the usual case, are in one way of writing already.
        if (preg_match('/^[+-]?\d+(?:\.\d+)?\.?(?: ?[A-Za-z]+)?$/D', $text) === 1) {
            return rtrim($text, '.');
        }
        if (preg_match('/[^\x20-\x7E]/', $text) === 1) {
            $text = self::ascii($text);
        }
        $text = trim((string) preg_replace(['/[\p{Z}\s]+/u', '/\*\*/'], [' ', '^'], $text));
        // The stop or comma that ends a sentence is not part of the number.
        $text = (string) preg_replace('/(?<=[\p{L}\d)%°]) ?(?:\.|[,;!?]+)$/Du', '', $text);
        $text = (string) preg_replace([self::BEFORE, self::AFTER], '', $text);
        $text = (string) preg_replace(['/(?<=\d) (?:over|divided by) (?=-?\d)/iu', '/(?<=\d) to the power(?: of)? (?=-?\d)/iu'], ['/', '^'], $text);
        // `4.5 x 10^4`: between a number and a power of ten, an x is a sign.
        $text = (string) preg_replace('/(?<=[\d.)]) ?[xX] ?(?=\(?10 ?\^)/', '*', $text);

        return self::unbracketed($text);
    }

    /** An expression with the words and commands for signs as signs, without what ends a sentence. */
    public static function expression(string $text): string
    {
        $text = (string) preg_replace(array_keys(self::SAID), array_values(self::SAID), $text);

        return (string) preg_replace('/(?<=[\p{L}\d)|²³]) *[.,;]+ *$/Du', '', $text);
    }

    /** The same without what stands before and behind a value. */
    public static function value(string $text): string
    {
        $text = self::expression(trim((string) preg_replace('/[\p{Z}\s]+/u', ' ', $text)));

        return (string) preg_replace([self::BEFORE, self::AFTER], '', $text);
    }

    private static function ascii(string $text): string
    {
        foreach (self::VULGAR as $sign => $fraction) {
            $text = str_replace($sign, ' '.$fraction, $text);
        }
        // A raised point between digits is a British decimal point, but not before a power of ten.
        $text = (string) preg_replace('/(?<=\d)[·⋅∙](?=\d)(?!10[\^⁰-⁹⁻⁺¹²³])/u', '.', $text);
        $text = (string) preg_replace_callback(
            '/['.implode('', array_keys(self::SUPERSCRIPTS)).']+/u',
            static fn (array $m): string => '^'.strtr($m[0], self::SUPERSCRIPTS),
            $text,
        );

        return strtr(Unicode::compatible(strtr($text, self::SIGNS)), self::SIGNS);
    }

    /** Brackets around a number, or around all of it, say nothing. */
    private static function unbracketed(string $text): string
    {
        if (!str_contains($text, '(')) {
            return $text;
        }
        do {
            $before = $text;
            $text = (string) preg_replace('/^\(([^()]*)\)$/D', '$1', $text);
            $text = (string) preg_replace('/(?<![\d.)\p{L}√])\( ?([+-]?(?:\d[\d.,]*|\.\d+)) ?\)(?![\d(])/u', '$1', $text);
            $text = (string) preg_replace('/^([+-]?) ?\( ?([^()+-][^()]*)\)/', '$1$2', $text);
            // 3.5 (m)
            $text = (string) preg_replace('/(?<=[\d.]) ?\( ?([\p{L}°][^()]*)\)$/Du', ' $1', $text);
            $text = (string) preg_replace('/\* ?\((10 ?\^ ?[+-]?\d+)\)/', '*$1', $text);
        } while ($text !== $before);

        return (string) preg_replace(['/^- ?-/', '/^- ?\+/', '/^\+ ?-/'], ['', '-', '-'], $text);
    }
}
