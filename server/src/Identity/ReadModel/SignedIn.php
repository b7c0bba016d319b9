<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Identity\Api\View\SessionLineView;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Storage\Moment;
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
        $row = $this->keptRow(
            'SELECT s.id, s.team_id, s.name, s.role, '.self::STALE.' AS stale FROM session a JOIN staff s ON s.id = a.staff_id AND s.left_at IS NULL
                WHERE '.self::HOLDS,
            $asked,
        );

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

    /** @return list<string> hashes of the sessions that were ended */
    public function endAllOfStudent(string $studentId): array
    {
        return $this->texts('DELETE FROM session WHERE student_id = :id RETURNING token_hash', ['id' => $studentId]);
    }

    /** @return list<SessionLineView> of a member of staff, the latest used first */
    public function sessionsOf(string $staffId, string $ownHash, string $now, string $idle): array
    {
        /** @var list<array{id: string, token_hash: string, device: string, opened_at: string, seen_at: string}> $rows */
        $rows = $this->rows('SELECT left(a.token_hash, 16) AS id, a.token_hash, a.device, a.opened_at, a.seen_at FROM session a
            WHERE a.staff_id = :id AND a.expires_at > :now AND a.seen_at > :idle ORDER BY a.seen_at DESC, a.token_hash', [
            'id' => $staffId,
            'now' => $now,
            'idle' => $idle,
        ]);

        return array_map(
            static fn (array $r): SessionLineView => new SessionLineView(
                $r['id'],
                $r['device'],
                Moment::iso($r['opened_at']),
                Moment::iso($r['seen_at']),
                $r['token_hash'] === $ownHash,
            ),
            $rows,
        );
    }

    /** @return list<string> hashes of the sessions that were ended */
    public function endOfStaff(string $staffId, ?string $id, ?string $exceptHash): array
    {
        return $this->texts(
            'DELETE FROM session WHERE staff_id = :staff AND (:id::text IS NULL OR left(token_hash, 16) = :id)
                AND (:except::text IS NULL OR token_hash <> :except) RETURNING token_hash',
            ['staff' => $staffId, 'id' => $id, 'except' => $exceptHash],
        );
    }

    public function forgetOld(string $now): void
    {
        $this->run('DELETE FROM session WHERE expires_at < :now', ['now' => $now]);
    }
}
