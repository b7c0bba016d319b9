<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** The team's files that a rich text shows. */
final class TextFiles
{
    /** @return list<string> their ids, in their order */
    public static function in(string $html): array
    {
        return preg_match_all('/<img\b[^>]*\bdata-file="([^"]{1,64})"/', $html, $found) > 0 ? $found[1] : [];
    }
}
