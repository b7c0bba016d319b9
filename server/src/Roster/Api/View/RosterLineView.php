<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** One name of a pasted list, and what would become of it. */
final readonly class RosterLineView
{
    /** @param string $fate one of add, double, here, fault */
    public function __construct(public int $line, public string $name, public string $fate, public string $note)
    {
    }
}
