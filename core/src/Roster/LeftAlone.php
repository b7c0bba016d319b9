<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** What of a school's files changes nothing, and why. */
final readonly class LeftAlone
{
    /** @param string $what who or what it is about, as far as the file tells */
    public function __construct(public string $file, public int $line, public string $what, public string $why)
    {
    }
}
