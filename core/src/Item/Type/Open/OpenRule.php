<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Open;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;

/** Long text, marked with a rubric; files may come with it. */
final readonly class OpenRule extends RubricRule
{
    public function type(): ItemType
    {
        return ItemType::Open;
    }
}
