<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class HandoutBackup implements TeamTables
{
    public function place(): int
    {
        return 60;
    }

    public function ofTeam(): array
    {
        return [
            'feedback_plan' => 't.team_id = :team',
            'handout' => 't.team_id = :team',
            'handout_class' => 't.handout_id IN (SELECT id FROM handout WHERE team_id = :team)',
            'handout_student' => 't.handout_id IN (SELECT id FROM handout WHERE team_id = :team)',
        ];
    }
}
