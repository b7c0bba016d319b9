<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** A level, as the team names it. */
final readonly class RungView
{
    /** @param int $from the lower cut, in percent of the marks */
    public function __construct(public string $name, public int $from)
    {
    }
}
