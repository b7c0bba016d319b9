<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Recording;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;

/** Sound or film, marked with a rubric. */
final readonly class RecordingRule extends RubricRule
{
    public function type(): ItemType
    {
        return ItemType::Recording;
    }
}
