<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

/** How many are expected, here and done, and with what they join. */
final readonly class LessonFacts
{
    /** @param array<string, string> $codes of the classes, by their names */
    public function __construct(public array $codes, public int $expected, public int $joined, public int $done)
    {
    }
}
