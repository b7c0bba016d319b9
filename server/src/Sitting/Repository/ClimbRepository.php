<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Sitting\Entity\Climb;

/** @extends Repository<Climb> */
final readonly class ClimbRepository extends Repository
{
    protected function kind(): string
    {
        return Climb::class;
    }
}
