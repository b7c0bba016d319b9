<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Regroup\Entity\Grouping;

/** @extends Repository<Grouping> */
final readonly class GroupingRepository extends Repository
{
    protected function kind(): string
    {
        return Grouping::class;
    }
}
