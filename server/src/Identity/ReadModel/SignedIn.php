<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Who a session's token belongs to. Asked with every request, hence one native statement. */
final readonly class SignedIn extends ReadModel
{
    /** A session `a` that holds: not past its end, and seen lately. Parameters: hash, now, idle. */
    public const HOLDS = 'a.token_hash = :hash AND a.expires_at > :now AND a.seen_at > :idle';

    /** Whether its use is to be noted anew. Parameter: now. */
    public const STALE = "a.seen_at < :now::timestamptz - interval '10 minutes'";

    /** Sessions, for the room that knows students. */
    public const SESSIONS = 'session a';

    /**
     * @param array{hash: string, now: string, idle: string} $asked
     *
     * @return array{StaffUser, bool}|null whose it is, and whether its use is to be noted
     */
    public function staff(array $asked): ?array
    {
        /** @var array{id: string, team_id: string, name: string, role: string, stale: bool}|null $row */
        $row = $this->row('SELECT s.id, s.team_id, s.name, s.role, '.self::STALE.' AS stale FROM session a JOIN staff s ON s.id = a.staff_id WHERE '.self::HOLDS, $asked);

        return $row === null ? null : [new StaffUser($row['id'], $row['team_id'], $row['name'], Role::from($row['role'])), $row['stale']];
    }

    public function see(string $hash, string $now): void
    {
        $this->run('UPDATE session SET seen_at = :now WHERE token_hash = :hash', ['hash' => $hash, 'now' => $now]);
    }

    public function end(string $hash): void
    {
        $this->run('DELETE FROM session WHERE token_hash = :hash', ['hash' => $hash]);
    }

    public function endAllOfStudent(string $studentId): void
    {
        $this->run('DELETE FROM session WHERE student_id = :id', ['id' => $studentId]);
    }

    public function forgetOld(string $now): void
    {
        $this->run('DELETE FROM session WHERE expires_at < :now', ['now' => $now]);
    }
}
