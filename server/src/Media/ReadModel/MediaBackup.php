<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

final readonly class MediaBackup implements TeamTables
{
    public function place(): int
    {
        return 20;
    }

    public function ofTeam(): array
    {
        return [
            // Its sitting comes later; the constraint waits for the end. What is on its way is not kept.
            'file' => 't.team_id = :team',
        ];
    }
}
