<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

final readonly class GroupingListView
{
    /** @param list<GroupingRowView> $groupings */
    public function __construct(public array $groupings)
    {
    }
}
