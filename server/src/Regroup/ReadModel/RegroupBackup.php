<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class RegroupBackup implements TeamTables
{
    public function place(): int
    {
        return 90;
    }

    public function ofTeam(): array
    {
        return [
            'grouping' => 't.team_id = :team',
            'grouping_group' => 't.grouping_id IN (SELECT id FROM grouping WHERE team_id = :team)',
            'grouping_member' => 't.group_id IN (SELECT g.id FROM grouping_group g JOIN grouping p ON p.id = g.grouping_id
                WHERE p.team_id = :team)',
        ];
    }
}
