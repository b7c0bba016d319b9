<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What of all that a handout plays was played. */
final readonly class WatchedAllView
{
    /** @param list<WatchedView> $sources in the order of the paper */
    public function __construct(public array $sources)
    {
    }
}
