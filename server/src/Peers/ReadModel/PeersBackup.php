<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Server\Platform\Storage\TeamTables;

/** What students wrote comes after the students and the questions of the bank that it became. */
final readonly class PeersBackup implements TeamTables
{
    public function place(): int
    {
        return 56;
    }

    public function ofTeam(): array
    {
        return [
            'invitation' => 't.team_id = :team',
            'proposal' => 't.team_id = :team',
            'proposal_answer' => 't.proposal_id IN (SELECT id FROM proposal WHERE team_id = :team)',
        ];
    }
}
