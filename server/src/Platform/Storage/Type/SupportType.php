<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Sitting\Support;

/** @extends DocumentType<Support> */
final class SupportType extends DocumentType
{
    protected function read(array $json): Support
    {
        return Support::read(new Node($json));
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
