<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Server\Bank\Entity\Skill;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Skill> */
final readonly class SkillRepository extends Repository
{
    protected function kind(): string
    {
        return Skill::class;
    }
}
