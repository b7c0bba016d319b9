<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** One name of a pasted list, and what would become of it. */
final readonly class RosterLineView
{
    /**
     * @param string $given the line as it was pasted
     * @param string $fate  one of add, back, double, here, fault, left out
     */
    public function __construct(public int $line, public string $given, public string $name, public string $fate, public string $note)
    {
    }
}
