<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class LookoutBackup implements TeamTables
{
    public function place(): int
    {
        return 75;
    }

    public function ofTeam(): array
    {
        return ['wall' => 't.team_id = :team', 'pads' => 't.team_id = :team'];
    }
}
