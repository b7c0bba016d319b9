<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Query\Filter\SQLFilter;

/**
 * The second lock between teams. The first is that every repository takes the team; this one holds when that is
 * forgotten: while somebody is signed in, entities of other teams are not there.
 */
final class TeamFilter extends SQLFilter
{
    public const NAME = 'team';

    public function addFilterConstraint(ClassMetadata $targetEntity, string $targetTableAlias): string
    {
        return is_subclass_of($targetEntity->name, TeamOwned::class) && $this->hasParameter('team')
            ? $targetTableAlias.'.team_id = '.$this->getParameter('team')
            : '';
    }
}
