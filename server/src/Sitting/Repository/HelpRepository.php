<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Sitting\Entity\Help;

/** @extends Repository<Help> */
final readonly class HelpRepository extends Repository
{
    protected function kind(): string
    {
        return Help::class;
    }
}
