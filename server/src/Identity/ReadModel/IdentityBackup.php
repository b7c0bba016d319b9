<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class IdentityBackup implements TeamTables
{
    public function place(): int
    {
        return 10;
    }

    public function ofTeam(): array
    {
        return [
            'team' => 't.id = :team',
            'staff' => 't.team_id = :team',
        ];
    }
}
