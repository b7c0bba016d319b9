<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

final readonly class WaitingListView
{
    /** @param list<WaitingView> $questions */
    public function __construct(public array $questions, public int $waiting)
    {
    }
}
