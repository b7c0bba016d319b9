<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Formula\TextFunctions;

/** What formulas ask of texts, answered by the folding that text answers use. */
final readonly class Texts implements TextFunctions
{
    private const LONGEST_COMPARED = 500;

    public function __construct(private Folding $folding = new Folding())
    {
    }

    public function matches(string $text, string $form): bool
    {
        return WordPattern::of($form, $this->folding)->fits($this->folding->fold($text));
    }

    public function same(string $a, string $b): bool
    {
        return $this->folding->fold($a) === $this->folding->fold($b);
    }

    /** At most 9: beyond that, two texts are simply different. */
    public function distance(string $a, string $b): int
    {
        return EditDistance::upTo(
            $this->folding->fold(mb_substr($a, 0, self::LONGEST_COMPARED)),
            $this->folding->fold(mb_substr($b, 0, self::LONGEST_COMPARED)),
            8,
        );
    }

    public function contains(string $text, string $part): bool
    {
        $part = $this->folding->fold($part);

        return $part !== '' && str_contains(' '.$this->folding->fold($text).' ', ' '.$part.' ');
    }

    public function significantFigures(string $text): int
    {
        return NumberText::significantFigures($text);
    }
}
