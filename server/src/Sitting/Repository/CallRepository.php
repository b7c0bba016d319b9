<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Sitting\Entity\Call;

/** @extends Repository<Call> */
final readonly class CallRepository extends Repository
{
    protected function kind(): string
    {
        return Call::class;
    }
}
