<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Upload;

use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;

/** Files of the student’s own, marked with a rubric. */
final readonly class UploadRule extends RubricRule
{
    public function type(): ItemType
    {
        return ItemType::Upload;
    }
}
