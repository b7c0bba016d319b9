<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\StudentUser;

/** Accounts that students have taken for themselves; their names are one's own over all teams. */
final readonly class AccountList extends ReadModel
{
    /**
     * Who comes in by an account: of a double, whose double it is; nobody who is on no roster any more.
     *
     * @return array{StudentUser, string}|null with the hash of the password
     */
    public function called(string $name): ?array
    {
        /** @var array{id: string, team_id: string, name: string, account_hash: string}|null $row */
        $row = $this->row('SELECT s.id, s.team_id, s.name, a.account_hash FROM student a
            JOIN student s ON s.id = coalesce(a.merged_into, a.id)
            WHERE a.account_name = :name AND EXISTS (SELECT 1 FROM '.RosterTables::MEMBERS.' m WHERE m.student_id = s.id)', ['name' => $name]);

        return $row === null ? null : [new StudentUser($row['id'], $row['team_id'], $row['name']), $row['account_hash']];
    }

    /** Whether somebody else has the name; until the act ends, whoever asks for the same one waits. */
    public function isTaken(string $name, string $studentId): bool
    {
        $this->holdName("own account $name");

        return $this->row('SELECT 1 FROM student WHERE account_name = :name AND id <> :id', ['name' => $name, 'id' => $studentId]) !== null;
    }
}
