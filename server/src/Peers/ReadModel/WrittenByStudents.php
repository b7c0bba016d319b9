<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Server\Bank\StudentWriters;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;

final readonly class WrittenByStudents extends ReadModel implements StudentWriters
{
    public function of(string $teamId, string $questionId): ?string
    {
        return $this->texts("SELECT st.name || ', ' || c.name FROM proposal p JOIN invitation i ON i.id = p.invitation_id
            JOIN ".RosterTables::STUDENTS.' st ON st.id = p.student_id JOIN '.RosterTables::CLASSES.' c ON c.id = i.class_id
            WHERE p.team_id = :team AND p.item_id = :id AND p.named', ['team' => $teamId, 'id' => $questionId])[0] ?? null;
    }
}
