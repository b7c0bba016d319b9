<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** What of a school's files changes nothing, and why. */
final readonly class LeftAloneView
{
    public function __construct(public string $file, public int $line, public string $what, public string $why)
    {
    }
}
