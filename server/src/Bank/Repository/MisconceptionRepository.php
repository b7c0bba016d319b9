<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Server\Bank\Entity\Misconception;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Misconception> */
final readonly class MisconceptionRepository extends Repository
{
    protected function kind(): string
    {
        return Misconception::class;
    }
}
