<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Passage;

use ChalkLadder\Core\Item\ContentWords;
use ChalkLadder\Core\Item\PlainText;

/**
 * A passage as its questions are drawn from it: sentences with their places, the words that it is about, the names in it. By rules of
 * spelling alone, for English; where a script has no capitals there are no names.
 */
final readonly class Passage
{
    public const LONGEST = 20_000;
    /** After these a full stop ends no sentence. */
    private const SHORT = '/(?:\b(?:Mr|Mrs|Ms|Dr|St|No|Fig|approx|e\.g|i\.e|vs|etc)|(?<![\p{L}\d])\p{Lu})\.$/u';
    private const BLOCKS = ['p', 'li', 'td', 'th', 'h1', 'h2', 'h3', 'h4', 'blockquote'];
    private const NO_NAMES = [
        'I', 'January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December',
        'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday',
    ];

    /**
     * @param list<Sentence>     $sentences
     * @param array<string, int> $words     how often each content word stands in it, the most frequent first
     * @param list<string>       $names     in the order in which they come
     */
    private function __construct(public array $sentences, public array $words, public array $names)
    {
    }

    /** @param string $html of at most {@see LONGEST} bytes; what is longer is read up to there */
    public static function read(string $html): self
    {
        $sentences = [];
        foreach (self::blocks(substr($html, 0, self::LONGEST)) as [$place, $text]) {
            foreach (self::sentences($text) as $sentence) {
                $sentences[] = new Sentence($sentence, $place);
            }
        }
        $all = implode(' ', array_map(static fn (Sentence $s): string => $s->text, $sentences));
        $words = array_count_values(ContentWords::of($all));
        arsort($words);

        return new self(
            $sentences,
            array_combine(array_map(strval(...), array_keys($words)), array_values($words)),
            self::names($sentences, $all),
        );
    }

    /** @return list<array{string, string}> place and plain text of each paragraph, line or cell */
    private static function blocks(string $html): array
    {
        $blocks = [];
        $paragraph = $line = 0;
        $numbered = false;
        preg_match_all('#<(/?[a-z][a-z0-9]*)\b([^>]*)>|([^<]+)#iu', mb_scrub($html), $tokens, PREG_SET_ORDER | PREG_UNMATCHED_AS_NULL);
        [$text, $place] = ['', 'paragraph 1'];
        $close = static function () use (&$blocks, &$text, &$place): void {
            $said = trim((string) preg_replace('/\s+/u', ' ', PlainText::of($text)));
            if ($said !== '') {
                $blocks[] = [$place, $said];
            }
            $text = '';
        };
        foreach ($tokens as $token) {
            [, $tag, $attributes, $said] = $token + [null, null, null, null];
            if ($said !== null) {
                $text .= $said;
            } elseif ($tag === 'ol' || $tag === '/ol') {
                $close();
                [$numbered, $line] = [$tag === 'ol' && str_contains((string) $attributes, 'data-lines'), 0];
            } elseif ($tag === 'li' && $numbered) {
                $close();
                $place = 'line '.(++$line);
            } elseif (in_array($tag, self::BLOCKS, true) && !$numbered) {
                $close();
                $place = 'paragraph '.(++$paragraph);
            } elseif ($tag === 'br') {
                $text .= ' ';
            }
        }
        $close();

        return $blocks;
    }

    /** @return list<string> */
    private static function sentences(string $text): array
    {
        $sentences = [];
        $open = '';
        $pieces = preg_split('/(?:(?<=[.!?…])|(?<=[.!?…][”"’\')]))\s+(?=[“"‘\'(]?[\p{Lu}\p{Lo}\d])/u', $text);
        foreach ($pieces === false ? [] : $pieces as $piece) {
            $open .= ($open === '' ? '' : ' ').$piece;
            if (preg_match(self::SHORT, $piece) !== 1) {
                $sentences[] = $open;
                $open = '';
            }
        }

        return $open === '' ? $sentences : [...$sentences, $open];
    }

    /**
     * Words with a capital where no sentence begins, and those that begin one and are met so elsewhere.
     *
     * @param list<Sentence> $sentences
     *
     * @return list<string>
     */
    private static function names(array $sentences, string $all): array
    {
        $names = [];
        foreach ($sentences as $sentence) {
            preg_match_all('/(?<=[^.!?…”"“‘(]\s)\p{Lu}[\p{L}’-]+(?:\s\p{Lu}[\p{L}’-]+)*/u', $sentence->text, $found);
            foreach ($found[0] as $name) {
                $small = preg_match('/(?<![\p{L}])'.preg_quote(mb_strtolower($name), '/').'(?![\p{L}])/u', $all) === 1;
                if (!$small && !in_array($name, self::NO_NAMES, true)) {
                    $names[$name] = true;
                }
            }
        }

        return array_map(strval(...), array_keys($names));
    }
}
