<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

final readonly class MarkingBackup implements TeamTables
{
    public function place(): int
    {
        return 80;
    }

    public function ofTeam(): array
    {
        return [
            'mark_event' => 't.sitting_id IN (SELECT id FROM '.SittingTables::SITTINGS.' s WHERE team_id = :team)',
            'moderation_mark' => 't.sitting_id IN (SELECT id FROM '.SittingTables::SITTINGS.' s WHERE team_id = :team)',
            'outbox' => 't.team_id = :team',
        ];
    }
}
