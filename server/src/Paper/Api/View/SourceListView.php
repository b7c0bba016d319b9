<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class SourceListView
{
    /** @param list<SourceRowView> $sources */
    public function __construct(public array $sources)
    {
    }
}
