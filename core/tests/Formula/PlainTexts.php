<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Tests\Formula;

use ChalkLadder\Core\Formula\TextFunctions;

/** Texts compared letter by letter: enough where a test is not about texts. */
final class PlainTexts implements TextFunctions
{
    public function matches(string $text, string $form): bool
    {
        return $text === $form;
    }

    public function same(string $a, string $b): bool
    {
        return $a === $b;
    }

    public function distance(string $a, string $b): int
    {
        return levenshtein($a, $b);
    }

    public function contains(string $text, string $part): bool
    {
        return str_contains($text, $part);
    }

    public function significantFigures(string $text): int
    {
        return strlen($text);
    }
}
