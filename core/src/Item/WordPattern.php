<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * A form with blanks: `*` stands for any words, or none; `_` for exactly one word. `* sun and moon *` fits any sentence
 * that holds those three words in a row.
 *
 * The words of the text are read once, whatever the pattern (bit-parallel matching, Baeza-Yates & Gonnet 1992, with
 * self-loops for `*`), so no text and no pattern can make it slow.
 */
final readonly class WordPattern
{
    private const MOST_WORDS = 40;

    /**
     * @param array<string, int> $places bit mask of the places where a word is asked for
     * @param int                $any    mask of the places that any one word fills
     * @param int                $loops  mask of the states that any further words leave as they are
     */
    private function __construct(private array $places, private int $any, private int $loops, private int $length)
    {
    }

    /** @param string $pattern folded but for its blanks, which stand as words of their own */
    public static function of(string $pattern, Folding $folding): self
    {
        $words = [];
        $loops = $any = 0;
        $places = [];
        $pieces = preg_split('/\s+/u', trim($pattern), -1, PREG_SPLIT_NO_EMPTY);
        foreach ($pieces === false ? [] : $pieces as $word) {
            $at = count($words);
            if ($at >= self::MOST_WORDS) {
                break;
            }
            if ($word === '*') {
                $loops |= 1 << $at;

                continue;
            }
            if ($word === '_') {
                $any |= 1 << $at;
                $words[] = $word;

                continue;
            }
            foreach (explode(' ', $folding->fold($word)) as $folded) {
                $place = count($words);
                if ($folded !== '' && $place < self::MOST_WORDS) {
                    $places[$folded] = ($places[$folded] ?? 0) | 1 << $place;
                    $words[] = $folded;
                }
            }
        }

        return new self($places, $any, $loops, count($words));
    }

    /** @param string $text folded */
    public function fits(string $text): bool
    {
        // State i: the first i words of the pattern have been found.
        $states = 1;
        foreach ($text === '' ? [] : explode(' ', $text) as $word) {
            $here = ($this->places[$word] ?? 0) | $this->any;
            $states = (($states & $here) << 1) | ($states & $this->loops);
            if ($states === 0) {
                return false;
            }
        }

        return ($states >> $this->length & 1) === 1;
    }
}
