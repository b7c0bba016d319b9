<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class PaperBackup implements TeamTables
{
    public function place(): int
    {
        return 50;
    }

    public function ofTeam(): array
    {
        return [
            'paper' => 't.team_id = :team',
            'edition' => 't.team_id = :team',
            'edition_item' => 't.edition_id IN (SELECT id FROM edition WHERE team_id = :team)',
            'edition_file' => 't.edition_id IN (SELECT id FROM edition WHERE team_id = :team)',
            'key_change' => 't.edition_id IN (SELECT id FROM edition WHERE team_id = :team)',
        ];
    }
}
