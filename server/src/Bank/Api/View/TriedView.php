<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class TriedView
{
    /** @param list<TryView> $results one for each response, in their order */
    public function __construct(public array $results)
    {
    }
}
