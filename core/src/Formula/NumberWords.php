<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** Numbers written in English words, wholly or in part, turned into figures: `two and a half hours` becomes `2 1/2 hours`. */
final class NumberWords
{
    private const UNITS = [
        'zero' => 0, 'none' => 0, 'nought' => 0, 'nil' => 0, 'one' => 1, 'two' => 2, 'three' => 3, 'four' => 4, 'five' => 5, 'six' => 6, 'seven' => 7,
        'eight' => 8, 'nine' => 9, 'ten' => 10, 'eleven' => 11, 'twelve' => 12, 'thirteen' => 13, 'fourteen' => 14, 'fifteen' => 15,
        'sixteen' => 16, 'seventeen' => 17, 'eighteen' => 18, 'nineteen' => 19,
    ];
    private const TENS = [
        'twenty' => 20, 'thirty' => 30, 'forty' => 40, 'fourty' => 40, 'fifty' => 50, 'sixty' => 60, 'seventy' => 70, 'eighty' => 80,
        'ninety' => 90,
    ];
    private const SCALES = ['thousand' => 1000, 'million' => 1_000_000, 'billion' => 1_000_000_000];
    private const PARTS = [
        'half' => 2, 'third' => 3, 'quarter' => 4, 'fourth' => 4, 'fifth' => 5, 'sixth' => 6, 'seventh' => 7, 'eighth' => 8,
        'ninth' => 9, 'tenth' => 10, 'eleventh' => 11, 'twelfth' => 12, 'sixteenth' => 16, 'twentieth' => 20, 'hundredth' => 100,
        'thousandth' => 1000,
    ];

    /** @var list<string> */
    private array $words;
    private int $at = 0;

    /** @param list<string> $words */
    private function __construct(array $words)
    {
        $this->words = $words;
    }

    /** The same in figures, with what follows the number as it stands; null when it holds no number in words. */
    public static function figures(string $text): ?string
    {
        if (preg_match('/\p{L}{3}|&/u', $text) !== 1) {
            return null;
        }
        // A hyphen parts words that belong together; one before a figure is a sign.
        $text = trim((string) preg_replace(['/(?<=\p{L})-(?=\p{L})/u', '/^-(?=\p{L})/u'], [' ', '- '], $text));
        $words = new self(explode(' ', (string) preg_replace('/(?<=[\d.])(?=\p{L}{3})/u', ' ', $text)));
        $sign = $words->takes('minus', 'negative', 'neg', '-') ? '-' : '';
        $number = $words->number($sign !== '');

        return $number === null ? null : rtrim($sign.$number.' '.implode(' ', array_slice($words->words, $words->at)));
    }

    /** Every number in words in figures: `one hour thirty minutes`. */
    public static function throughout(string $text): string
    {
        $words = new self(explode(' ', (string) preg_replace('/(?<=\p{L})-(?=\p{L})/u', ' ', $text)));
        $new = [];
        while ($words->at < count($words->words)) {
            $number = in_array($words->word(), ['a', 'an'], true) && $words->at > 0 ? null : $words->whole();
            $new[] = $number ?? $words->words[$words->at++];
        }

        return implode(' ', $new);
    }

    /** @param bool $signed in words; figures alone are none */
    private function number(bool $signed): ?string
    {
        $fraction = $this->fraction();
        if ($fraction !== null) {
            return $fraction;
        }
        $start = $this->at;
        $whole = $this->whole();
        if ($whole === null) {
            return null;
        }
        if ($this->takes('point')) {
            return $this->decimals($whole);
        }
        $isWhole = preg_match('/^\d+$/D', $whole) === 1;
        if ($isWhole && in_array($this->word(), ['and', '&'], true)) {
            ++$this->at;
            $fraction = $this->fraction() ?? $this->written();
            if ($fraction !== null) {
                return $whole.' '.$fraction;
            }
            --$this->at;
        }
        // An hour and a half.
        if ($isWhole && preg_match('/ and an? (half|quarter)$/Di', implode(' ', array_slice($this->words, $this->at)), $m) === 1) {
            $this->words = array_slice($this->words, 0, -3);

            return $whole.' 1/'.self::PARTS[strtolower($m[1])];
        }

        return !$signed && $this->at === $start + 1 && preg_match('/^[\d.,]+$/D', $this->words[$start]) === 1 ? null : $whole;
    }

    private function decimals(string $whole): ?string
    {
        $digits = '';
        while (($digit = self::UNITS[$this->word()] ?? 10) < 10) {
            $digits .= $digit;
            ++$this->at;
        }

        return $digits === '' ? null : $whole.'.'.$digits;
    }

    /** `half`, `a half`, `three quarters of an`; null when no fraction stands here. A bare third is a place in a row. */
    private function fraction(): ?string
    {
        $start = $this->at;
        $word = $this->word();
        if (in_array($word, ['half', 'quarter'], true)) {
            $over = 1;
        } else {
            $over = in_array($word, ['a', 'an'], true) ? 1
                : self::UNITS[$word] ?? self::TENS[$word] ?? (preg_match('/^\d{1,6}$/D', $word) === 1 ? (int) $word : null);
            ++$this->at;
        }
        $part = $this->word();
        $under = self::PARTS[$over === 1 ? $part : ($part === 'halves' ? 'half' : (string) preg_replace('/s$/', '', $part))] ?? null;
        if ($over === null || $under === null) {
            $this->at = $start;

            return null;
        }
        ++$this->at;
        // Half an hour, a quarter of a mile: of what follows, one.
        $this->takes('of');
        if (isset($this->words[$this->at + 1])) {
            $this->takes('a', 'an');
        }

        return $over.'/'.$under;
    }

    /** A fraction in figures behind an `and`. */
    private function written(): ?string
    {
        return preg_match('#^\d{1,6}/\d{1,6}$#D', $this->word()) === 1 ? $this->words[$this->at++] : null;
    }

    /** A whole number in words, or a number in figures that words follow. */
    private function whole(): ?string
    {
        if (preg_match('/^(?:\d+(?:\.\d+)?|\d{1,3}(?:,\d{3})+)$/D', $this->word()) === 1) {
            $figures = str_replace(',', '', $this->words[$this->at++]);
            $scale = self::SCALES[$this->word()] ?? ($this->word() === 'hundred' ? 100 : ($this->word() === 'dozen' ? 12 : null));
            if ($scale === null) {
                return $figures;
            }
            ++$this->at;

            return NumberText::write(BigRational::of($figures)->multipliedBy($scale));
        }
        $article = in_array($this->word(), ['a', 'an'], true);
        if ($article) {
            ++$this->at;
            if (isset(self::SCALES[$this->word()]) || in_array($this->word(), ['hundred', 'dozen'], true)) {
                --$this->at;
                $this->words = [...array_slice($this->words, 0, $this->at), 'one', ...array_slice($this->words, $this->at + 1)];
            } else {
                return isset($this->words[$this->at]) ? '1' : null;
            }
        }
        $total = $group = 0;
        $some = false;
        while (true) {
            $word = $this->word();
            $below = self::UNITS[$word] ?? null;
            if ($below !== null || isset(self::TENS[$word])) {
                $group += $below ?? self::TENS[$word];
            } elseif ($some && $word === 'hundred') {
                $group = max(1, $group) * 100;
            } elseif ($some && $word === 'dozen') {
                $group *= 12;
            } elseif ($some && isset(self::SCALES[$word])) {
                $total += max(1, $group) * self::SCALES[$word];
                $group = 0;
            } elseif ($some && $word === 'and' && (isset(self::UNITS[$this->word(1)]) || isset(self::TENS[$this->word(1)]))
                && !isset(self::PARTS[rtrim($this->word(2), 's')])) {
                // one hundred and five
            } else {
                break;
            }
            $some = true;
            ++$this->at;
            if ($total + $group > 999_999_999_999) {
                return null;
            }
        }

        return $some ? (string) ($total + $group) : null;
    }

    private function word(int $ahead = 0): string
    {
        return strtolower($this->words[$this->at + $ahead] ?? '');
    }

    private function takes(string ...$words): bool
    {
        if (!in_array($this->word(), $words, true)) {
            return false;
        }
        ++$this->at;

        return true;
    }
}
