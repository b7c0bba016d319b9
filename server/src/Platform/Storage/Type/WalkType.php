<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage\Type;

use ChalkLadder\Core\Sitting\Walk;

/** @extends DocumentType<Walk> */
final class WalkType extends DocumentType
{
    protected function read(array $json): Walk
    {
        /** @var array{visits: list<array{section: string, try: int, entries: list<string>, round?: int}>, ended: bool} $json written by ourselves */
        return Walk::fromArray($json);
    }

    protected function write(object $value): array
    {
        return $value->toArray();
    }
}
