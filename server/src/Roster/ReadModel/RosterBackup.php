<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class RosterBackup implements TeamTables
{
    public function place(): int
    {
        return 30;
    }

    public function ofTeam(): array
    {
        return [
            'class' => 't.team_id = :team',
            'student' => 't.team_id = :team',
            'student_merge' => 't.team_id = :team',
            'class_group' => 't.class_id IN (SELECT id FROM class WHERE team_id = :team)',
            'class_member' => 't.class_id IN (SELECT id FROM class WHERE team_id = :team)',
        ];
    }
}
