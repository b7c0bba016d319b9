<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Repository;

use ChalkLadder\Server\Lookout\Entity\Wall;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Wall> */
final readonly class WallRepository extends Repository
{
    protected function kind(): string
    {
        return Wall::class;
    }
}
