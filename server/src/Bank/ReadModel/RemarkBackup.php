<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

/** Remarks come after the questions and papers that they are about. */
final readonly class RemarkBackup implements TeamTables
{
    public function place(): int
    {
        return 55;
    }

    public function ofTeam(): array
    {
        return ['remark' => 't.team_id = :team'];
    }
}
