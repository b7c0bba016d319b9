<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class PaperListView
{
    /** @param list<PaperRowView> $papers */
    public function __construct(public array $papers)
    {
    }
}
