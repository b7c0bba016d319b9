<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Http;

use ChalkLadder\Core\Document\Node;

/** An input that reads itself from a body, field by field, and notes on the node what is wrong with it. */
interface ReadsDocument
{
    public static function read(Node $node): self;
}
