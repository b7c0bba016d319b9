<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/** What formulas may ask of texts. The answer rules of texts supply it, since they know what "the same" means. */
interface TextFunctions
{
    /** Does the text fit the form, in which `*` stands for any words, or none, and `_` for one word? */
    public function matches(string $text, string $form): bool;

    public function same(string $a, string $b): bool;

    public function distance(string $a, string $b): int;

    public function contains(string $text, string $part): bool;

    /** Figures of a written number that signify; 0 when it is not a number. Trailing zeros behind the point count. */
    public function significantFigures(string $text): int;
}
