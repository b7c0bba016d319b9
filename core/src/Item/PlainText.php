<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

/** HTML as plain text: no markup, entities as the letters they stand for. */
final class PlainText
{
    public static function of(string $html): string
    {
        return trim(html_entity_decode(strip_tags($html), ENT_QUOTES | ENT_HTML5));
    }
}
