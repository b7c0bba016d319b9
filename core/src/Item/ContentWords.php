<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** The words of a text that say what it is about, for English: without those that hold sentences together. */
final class ContentWords
{
    private const STOP = [
        'a', 'an', 'and', 'are', 'as', 'at', 'be', 'because', 'but', 'by', 'for', 'from', 'had', 'has', 'have', 'i',
        'if', 'in', 'is', 'it', 'its', 'of', 'on', 'or', 'so', 'than', 'that', 'the', 'their', 'them', 'then',
        'there', 'they', 'this', 'to', 'was', 'we', 'were', 'when', 'which', 'will', 'with', 'you',
    ];

    /** @param string $word in small letters */
    public static function isOne(string $word): bool
    {
        return mb_strlen($word) > 1 && !in_array($word, self::STOP, true);
    }

    /** @return list<string> in small letters, in their order, each as often as it stands there */
    public static function of(string $text): array
    {
        preg_match_all('/\p{L}[\p{L}’-]*/u', mb_strtolower($text), $found);

        return array_values(array_filter($found[0], self::isOne(...)));
    }
}
