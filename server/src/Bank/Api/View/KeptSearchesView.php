<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class KeptSearchesView
{
    /** @param list<KeptSearchView> $searches the reader's own */
    public function __construct(public array $searches)
    {
    }
}
