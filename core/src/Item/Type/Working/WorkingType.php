<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Working;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\FilesResponse;

/** What was drawn or photographed, marked with a rubric. */
final class WorkingType extends PlainType
{
    public function readRule(Node $node): WorkingRule
    {
        return WorkingRule::read($node);
    }

    public function responses(): array
    {
        return [WorkingResponse::class, FilesResponse::class];
    }

    public function seconds(): float
    {
        return 240.0;
    }
}
