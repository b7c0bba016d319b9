<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Working;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;

/** What was drawn or photographed, marked with a rubric. */
final readonly class WorkingRule extends RubricRule
{
    public function type(): ItemType
    {
        return ItemType::Working;
    }
}
