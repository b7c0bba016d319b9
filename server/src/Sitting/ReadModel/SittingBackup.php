<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class SittingBackup implements TeamTables
{
    public function place(): int
    {
        return 70;
    }

    public function ofTeam(): array
    {
        return [
            'sitting' => 't.team_id = :team',
            'response' => 't.sitting_id IN (SELECT id FROM sitting WHERE team_id = :team)',
            'played' => 't.sitting_id IN (SELECT id FROM sitting WHERE team_id = :team)',
            'left_screen' => 't.sitting_id IN (SELECT id FROM sitting WHERE team_id = :team)',
            'correction' => 't.team_id = :team',
            'student_call' => 't.team_id = :team',
            'climb' => 't.team_id = :team',
            'help' => 't.team_id = :team',
            'help_line' => 't.help_id IN (SELECT id FROM help WHERE team_id = :team)',
            'lesson_note' => 't.team_id = :team',
            'late_response' => 't.sitting_id IN (SELECT id FROM sitting WHERE team_id = :team)',
        ];
    }
}
