<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\Input;

/** Names the pass that is left or handed in, so that a repeat is harmless. */
final readonly class VisitInput
{
    public function __construct(public int $visit = 0)
    {
    }
}
