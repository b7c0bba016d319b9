<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class KeptNotesView
{
    /** @param list<string> $ids of the new questions */
    public function __construct(public array $ids)
    {
    }
}
