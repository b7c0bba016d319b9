<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** How far the work of a handout is, counted in students; what waits is counted in attempts. */
final readonly class Progress
{
    public function __construct(public int $open = 0, public int $handedIn = 0, public int $returned = 0, public int $waiting = 0)
    {
    }
}
