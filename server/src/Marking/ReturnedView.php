<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

final readonly class ReturnedView
{
    /** @param list<string> $waiting names of the students whose answers still wait for a marker */
    public function __construct(public int $returned, public array $waiting)
    {
    }
}
