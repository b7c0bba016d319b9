<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;

/**
 * Text with formulas in braces: `High water is {h} m.` A brace that is meant as one is written twice. In rich text a formula's signs
 * may be written with entities, such as `&#43;`. Within maths braces are LaTeX’s own, and a value is put in by `{= h}`.
 */
final class Template
{
    /**
     * @return list<string> the formulas in it
     *
     * @throws FormulaError when one of them cannot be read
     */
    public static function read(string $text): array
    {
        $formulas = array_values(array_filter(array_map(static fn (array $part): ?string => $part[1], self::parts($text)), is_string(...)));
        foreach ($formulas as $formula) {
            Parser::read($formula);
        }

        return $formulas;
    }

    /**
     * A formula that has no value here is shown as a dash: a student is never left without the words.
     *
     * @param array<string, mixed> $names
     * @param bool                 $html  the text is HTML, so what is put into it is escaped
     */
    public static function fill(string $text, array $names, bool $html = false): string
    {
        return implode('', array_map(static function (array $part) use ($names, $html): string {
            if ($part[1] === null) {
                return $part[0];
            }
            try {
                $words = Evaluator::words(Evaluator::value(Parser::read($part[1]), $names, new Texts()));
            } catch (FormulaError) {
                $words = '–';
            }

            return $html ? htmlspecialchars($words) : $words;
        }, self::parts($text)));
    }

    /** @return list<array{string, string|null}> literal text, or a formula beside it */
    private static function parts(string $text): array
    {
        $parts = [];
        $stretches = preg_split('/(\sdata-math="[^"]*")/', $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        foreach ($stretches === false ? [] : $stretches as $i => $stretch) {
            array_push($parts, ...($i % 2 === 1 ? self::inMaths($stretch) : self::inWords($stretch)));
        }

        return $parts;
    }

    /** @return list<array{string, string|null}> */
    private static function inMaths(string $latex): array
    {
        $pieces = preg_split('/\{(?:=|&#61;)([^{}]*)\}/', $latex, -1, PREG_SPLIT_DELIM_CAPTURE);

        $parts = [];
        foreach ($pieces === false ? [] : $pieces as $i => $piece) {
            $parts[] = $i % 2 === 1 ? ['', html_entity_decode($piece, ENT_QUOTES | ENT_HTML5)] : [$piece, null];
        }

        return $parts;
    }

    /** @return list<array{string, string|null}> */
    private static function inWords(string $text): array
    {
        $parts = [];
        $pieces = preg_split('/(\{\{|\}\}|\{[^{}]*\})/', $text, -1, PREG_SPLIT_DELIM_CAPTURE);
        foreach ($pieces === false ? [] : $pieces as $piece) {
            $parts[] = match (true) {
                $piece === '{{' => ['{', null],
                $piece === '}}' => ['}', null],
                strlen($piece) > 1 && $piece[0] === '{' => ['', html_entity_decode(substr($piece, 1, -1), ENT_QUOTES | ENT_HTML5)],
                default => [$piece, null],
            };
        }

        return $parts;
    }
}
