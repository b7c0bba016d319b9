<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Unicode;

/** Words of the language, for telling a slip from another word. Source and licence: `core/data/words-en.md`. */
final class Lexicon
{
    private const FILE = __DIR__.'/../../data/words-en.txt';

    /** @param string $word in small letters; accents do not count */
    public static function isWord(string $word): bool
    {
        /** @var string|null $words read once */
        static $words = null;
        $words ??= (string) file_get_contents(self::FILE);
        $word = Unicode::unaccented($word);
        $low = 0;
        $high = strlen($words);
        // The lines are sorted: halve what is left, each time from the start of a line.
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $start = $middle === 0 ? 0 : (int) strrpos($words, "\n", $middle - strlen($words) - 1) + 1;
            $start = max($start, $low);
            $end = strpos($words, "\n", $start);
            if ($end === false) {
                return false;
            }
            $order = strcmp(substr($words, $start, $end - $start), $word);
            if ($order === 0) {
                return true;
            }
            if ($order < 0) {
                $low = $end + 1;
            } else {
                $high = $start;
            }
        }

        return false;
    }

    /**
     * Words one slip away: a letter more, less, other, or two swapped.
     *
     * @return list<string> in order
     */
    public static function neighbours(string $word): array
    {
        $n = mb_strlen($word);
        if ($n > 24) {
            return [];
        }
        $near = [];
        $put = static function (string $one) use (&$near): void {
            $near[$one] = true;
        };
        for ($i = 0; $i <= $n; ++$i) {
            [$before, $after] = [mb_substr($word, 0, $i), mb_substr($word, $i)];
            foreach (range('a', 'z') as $letter) {
                $put($before.$letter.$after);
                $put($before.$letter.mb_substr($after, 1));
            }
            $put($before.mb_substr($after, 1));
            $put($before.mb_substr($after, 1, 1).mb_substr($after, 0, 1).mb_substr($after, 2));
        }
        unset($near[$word]);
        $words = array_values(array_filter(array_map(strval(...), array_keys($near)), self::isWord(...)));
        sort($words, SORT_STRING);

        return $words;
    }
}
