<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Item\Folding;

/**
 * What would tell a student who another one is, or where to be found, in words between two of them who are to stay unknown to each
 * other. It errs on the side of holding back: a teacher reads what was held and lets it through with one press. What stands in the
 * question itself tells nothing, so its own names and numbers pass.
 */
enum Personal: string
{
    case Name = 'a name';
    case Address = 'an address';
    case Number = 'a number';

    /** Digits in a row, whatever parts them, from which on they may be a telephone number or the like. */
    private const MANY_DIGITS = 7;
    /** Parts of names that are not names by themselves. */
    private const PARTICLES = ['van', 'von', 'der', 'den', 'del', 'des', 'dos', 'the', 'bin', 'ibn', 'and'];
    private const SPELT = 'zero|oh|one|two|three|four|five|six|seven|eight|nine|double|triple';
    private const ENDS = 'com|org|net|info|app|dev|io|me|tv|gg|uk|ie|eu|de|fr|nl|es|it|us|example|school';
    private const STREETS = 'street|st|road|rd|lane|ln|avenue|ave|close|drive|terrace|court|crescent|gardens|quay|row|way|hill|square|place';
    private const NO_STREET = 'a|an|the|of|on|in|to|by|per|up|is|and|or|at|for|from|with|down';

    /**
     * @param string       $words    as typed
     * @param list<string> $names    of the people who are to stay unknown, in full
     * @param string       $question what both read, as plain text
     */
    public static function in(string $words, array $names, string $question): ?self
    {
        $fold = new Folding(accents: true, punctuation: false);
        $said = $fold->fold($words);
        $read = $fold->fold($question);

        return match (true) {
            self::isAddress($said) => self::Address,
            self::isNumber($said, $read) => self::Number,
            self::isName($said, $words, array_map($fold->fold(...), $names), $read) => self::Name,
            default => null,
        };
    }

    private static function isAddress(string $said): bool
    {
        // A full stop between two sentences has a blank behind it.
        $dot = '(?:\.|\s*[\[(]?\bdot\b[\])]?\s*)';
        $patterns = [
            '/\S@|@\w/u',
            "/\\w\\s*[\\[(]?\\bat\\b[\\])]?\\s*[\\w-]+$dot(?:".self::ENDS.')\b/u',
            '/https?:|\bwww\./u',
            '/\b[a-z0-9-]{2,}\.(?:'.self::ENDS.')\b/u',
            '/\b\d{1,4}[a-z]?,?\s+(?:(?!(?:'.self::NO_STREET.')\b)\p{L}[\p{L}\']*\s+){1,3}(?:'.self::STREETS.')\b/u',
        ];
        foreach ($patterns as $pattern) {
            if (preg_match($pattern, $said) === 1) {
                return true;
            }
        }

        return false;
    }

    private static function isNumber(string $said, string $read): bool
    {
        preg_match_all('/\d+/', $read, $known);
        // An o among digits is meant for a nought.
        $digits = (string) preg_replace_callback('/(?<=\d)o+|\bo+(?=\d)/', static fn (array $m): string => str_repeat('0', strlen($m[0])), $said);
        $digits = (string) preg_replace('/(?<![\d.])(?:0|[1-9]\d{0,2})\.\d+(?![\d.])/', ',', $digits);
        $digits = (string) preg_replace_callback(
            '/\d+/',
            static fn (array $m): string => in_array($m[0], $known[0], true) ? ',' : $m[0],
            $digits,
        );
        preg_match_all('/\d(?:[\s.\-()\/+_*]{0,3}\d)*/', $digits, $runs);
        foreach ($runs[0] as $run) {
            if (strlen((string) preg_replace('/\D/', '', $run)) >= self::MANY_DIGITS) {
                return true;
            }
        }

        return preg_match('/(?:\b(?:'.self::SPELT.')\b[\s,.-]*){6,}/u', $said) === 1;
    }

    /** @param list<string> $names folded */
    private static function isName(string $said, string $words, array $names, string $read): bool
    {
        $known = self::tokens($read);
        $tokens = array_diff(self::tokens($said), $known);
        // Letters one by one are read together: a d a, a.d.a
        preg_match_all('/(?<!\p{L})\p{L}(?:[^\p{L}\p{N}]{1,3}\p{L}(?!\p{L})){2,}/u', $said, $spelt);
        $spelt = array_map(static fn (string $run): string => (string) preg_replace('/\P{L}/u', '', $run), $spelt[0]);
        foreach ($names as $name) {
            $parts = self::tokens($name);
            $whole = implode('', $parts);
            foreach (array_diff($parts, self::PARTICLES, $known) as $part) {
                // Two letters are more often a word than a name, unless they are written as one.
                $written = mb_convert_case($part, MB_CASE_TITLE, 'UTF-8');
                $found = mb_strlen($part) > 2
                    ? in_array($part, $tokens, true) || in_array($part.'s', $tokens, true)
                    : mb_strlen($part) === 2 && preg_match('/(?<!\p{L})'.preg_quote($written, '/').'(?!\p{L})/u', $words) === 1;
                foreach (mb_strlen($part) > 2 ? $spelt : [] as $run) {
                    $found = $found || str_contains($run, $part);
                }
                if ($found) {
                    return true;
                }
            }
            foreach ($tokens as $token) {
                if (count($parts) > 1 && str_contains($token, $whole)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return list<string> words in their order; a letter that is drawn out stands once */
    private static function tokens(string $folded): array
    {
        $folded = (string) preg_replace(['/(\p{L})\1{2,}/u', "/'s\\b/u"], ['$1', ''], $folded);
        preg_match_all('/\p{L}+/u', $folded, $found);

        return $found[0];
    }
}
