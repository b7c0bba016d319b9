<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\Unicode;

/**
 * What two texts may differ in and still be the same answer.
 *
 * Unicode NFKC (UAX #15) and full case folding come first, then what the policy names. Folding twice changes nothing.
 */
final readonly class Folding
{
    private const QUOTES = [
        "\u{2018}" => "'",
        "\u{2019}" => "'",
        "\u{201A}" => "'",
        "\u{2032}" => "'",
        '`' => "'",
        "\u{201C}" => '"',
        "\u{201D}" => '"',
        "\u{201E}" => '"',
        "\u{2033}" => '"',
        "\u{2010}" => '-',
        "\u{2011}" => '-',
        "\u{2012}" => '-',
        "\u{2013}" => '-',
        "\u{2014}" => '-',
        "\u{2212}" => '-',
    ];

    public function __construct(
        public bool $case = true,
        public bool $accents = false,
        public bool $punctuation = true,
        public bool $articles = false,
    ) {
    }

    public function fold(string $text): string
    {
        $text = strtr(Unicode::compatible($text), self::QUOTES);
        // Format characters (zero-width joiners, direction marks) are invisible and mean nothing here.
        $text = (string) preg_replace('/\p{Cf}+/u', '', $text);
        if ($this->case) {
            $text = mb_convert_case($text, MB_CASE_FOLD, 'UTF-8');
        }
        if ($this->accents) {
            $text = Unicode::unaccented($text);
        }
        if ($this->punctuation) {
            $text = (string) preg_replace('/[\p{P}\p{S}]+/u', ' ', (string) preg_replace("/(?<=\\p{L})'(?=\\p{L})/u", '', $text));
        }
        $text = trim((string) preg_replace('/[\p{Z}\s]+/u', ' ', $text));
        if ($this->articles) {
            do {
                $before = $text;
                $text = (string) preg_replace('/^(?:the|an|a) (?=\S)/iu', '', $text);
            } while ($text !== $before);
        }

        return $text;
    }

    /** @return array<string, bool> */
    public function toArray(): array
    {
        return ['case' => $this->case, 'accents' => $this->accents, 'punctuation' => $this->punctuation, 'articles' => $this->articles];
    }
}
