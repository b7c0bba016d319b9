<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Roster\Entity\Merge;

/** @extends Repository<Merge> */
final readonly class MergeRepository extends Repository
{
    protected function kind(): string
    {
        return Merge::class;
    }
}
