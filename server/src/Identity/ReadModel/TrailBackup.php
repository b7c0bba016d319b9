<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class TrailBackup implements TeamTables
{
    public function place(): int
    {
        return 100;
    }

    public function ofTeam(): array
    {
        return ['trail' => 't.team_id = :team'];
    }
}
