<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Sitting\Entity\Correction;

/** @extends Repository<Correction> */
final readonly class CorrectionRepository extends Repository
{
    protected function kind(): string
    {
        return Correction::class;
    }
}
