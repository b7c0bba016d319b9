<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

use ChalkLadder\Core\Item\Folding;

/** How people's names are told apart and kept. */
final class PersonName
{
    private const LONGEST = 80;

    /** Two names are the same person's when only case, accents, spaces or punctuation differ. */
    public static function fold(string $name): string
    {
        return (new Folding(accents: true))->fold($name);
    }

    /** Spaces of all kinds become one; what cannot be seen is dropped. */
    public static function tidy(string $name): string
    {
        return trim((string) preg_replace('/[\p{Z}\p{C}\s]+/u', ' ', $name));
    }

    /** Why this cannot be a name; null when it can. */
    public static function fault(string $name): ?string
    {
        return match (true) {
            mb_strlen($name) > self::LONGEST => sprintf('Longer than %d characters.', self::LONGEST),
            preg_match('/\p{L}/u', $name) !== 1 => 'No letter in it.',
            default => null,
        };
    }
}
