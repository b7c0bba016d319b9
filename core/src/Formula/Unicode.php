<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** Normal forms of Unicode text (UAX #15). Text that is not valid UTF-8 becomes empty. */
final class Unicode
{
    /** Compatibility composition: full-width digits, ligatures and the like become their plain selves. */
    public static function compatible(string $text): string
    {
        $normal = \Normalizer::normalize($text, \Normalizer::FORM_KC);

        return is_string($normal) ? $normal : '';
    }

    /** Without accents: decomposed, marks dropped, composed again. */
    public static function unaccented(string $text): string
    {
        $apart = \Normalizer::normalize($text, \Normalizer::FORM_D);
        $bare = \Normalizer::normalize((string) preg_replace('/\p{Mn}+/u', '', is_string($apart) ? $apart : ''), \Normalizer::FORM_C);

        return is_string($bare) ? $bare : '';
    }
}
