<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Floor;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;

/** A text that is said to all and not scored. */
final class FloorType extends PlainType
{
    public function readRule(Node $node): FloorRule
    {
        return new FloorRule();
    }

    public function seconds(): float
    {
        return 240.0;
    }

    public function isScored(): bool
    {
        return false;
    }
}
