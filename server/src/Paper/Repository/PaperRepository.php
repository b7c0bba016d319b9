<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Repository;

use ChalkLadder\Server\Paper\Entity\Paper;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Paper> */
final readonly class PaperRepository extends Repository
{
    protected function kind(): string
    {
        return Paper::class;
    }
}
