<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/**
 * What a line says to a student: plain words, or rich text (maths, a picture, a link), which begins with one of its elements.
 * Plain words are never read as HTML, whatever signs stand in them.
 */
final class Said
{
    public const LONGEST = 4000;

    public static function isRich(string $words): bool
    {
        return preg_match('/^<(?:p|ul|ol|table)\b/', $words) === 1;
    }

    /** As HTML. */
    public static function html(string $words): string
    {
        return $words === '' || self::isRich($words) ? $words : '<p>'.htmlspecialchars($words).'</p>';
    }

    /**
     * What several lines say, one after the other; each thing once. Rich text as soon as one of them is.
     *
     * @param list<string> $each
     */
    public static function together(array $each): string
    {
        $each = array_values(array_unique(array_filter($each, static fn (string $words): bool => $words !== '')));

        return array_filter($each, self::isRich(...)) === [] ? implode(' ', $each) : implode('', array_map(self::html(...), $each));
    }

    /**
     * With the values of these names in its braces.
     *
     * @param array<string, mixed> $names
     */
    public static function filled(string $words, array $names): string
    {
        return Template::fill($words, $names, self::isRich($words));
    }
}
