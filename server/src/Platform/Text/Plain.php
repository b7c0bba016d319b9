<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Text;

/** Rich text as it is read aloud: without its marks. */
final class Plain
{
    public static function text(string $html): string
    {
        $spaced = (string) preg_replace('/<[^>]*>/', ' ', $html);

        return trim((string) preg_replace('/\s+/u', ' ', html_entity_decode($spaced, ENT_QUOTES | ENT_HTML5)));
    }
}
