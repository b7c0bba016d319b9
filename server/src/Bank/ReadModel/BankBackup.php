<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class BankBackup implements TeamTables
{
    public function place(): int
    {
        return 40;
    }

    public function ofTeam(): array
    {
        return [
            'skill' => 't.team_id = :team',
            'misconception' => 't.team_id = :team',
            'item' => 't.team_id = :team',
            'folder' => 't.team_id = :team',
            'kept_search' => 't.team_id = :team',
            'item_revision' => 't.item_id IN (SELECT id FROM item WHERE team_id = :team)',
        ];
    }
}
