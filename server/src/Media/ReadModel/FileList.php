<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\ReadModel;

use ChalkLadder\Server\Media\Owner;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class FileList extends ReadModel
{
    /** The team's own file that holds these very bytes. */
    public function holding(string $teamId, string $hash): ?string
    {
        return $this->texts(
            'SELECT id::text FROM file WHERE team_id = :team AND hash = :hash AND sitting_id IS NULL LIMIT 1',
            ['team' => $teamId, 'hash' => $hash],
        )[0] ?? null;
    }

    /** @return array<string, string> pages by hash, of all files of a team */
    public function hashes(string $teamId): array
    {
        return $this->pairs(
            'SELECT hash, max(coalesce(pages, 0))::text FROM file WHERE team_id = :team GROUP BY hash ORDER BY hash COLLATE "C"',
            ['team' => $teamId],
        );
    }

    /**
     * What a sitting, or a member of staff, has sent and is sending; until the act ends nobody else asks for it.
     *
     * @return array{int, int} files, bytes
     */
    public function sentBy(Owner $owner): array
    {
        $this->holdName($owner->sittingId ?? (string) $owner->staffId);
        /** @var array{n: int, bytes: int} $row */
        $row = $owner->sittingId === null
            ? $this->row(
                'SELECT count(*) AS n, coalesce(sum(size), 0)::bigint AS bytes FROM upload WHERE staff_id = :who
                    AND file_id IS NULL AND refused IS NULL',
                ['who' => $owner->staffId],
            )
            : $this->row(
                'SELECT count(*) AS n, coalesce(sum(size), 0)::bigint AS bytes FROM (
                    SELECT size FROM file WHERE sitting_id = :who
                    UNION ALL SELECT size FROM upload WHERE sitting_id = :who AND file_id IS NULL AND refused IS NULL) AS sent',
                ['who' => $owner->sittingId],
            );

        return [(int) $row['n'], (int) $row['bytes']];
    }

    /**
     * Forgets uploads that were begun before a moment, and says which.
     *
     * @return list<string> ids
     */
    public function forgetUploads(string $before): array
    {
        return $this->texts('DELETE FROM upload WHERE begun_at < :before RETURNING id::text', ['before' => $before]);
    }

    /** Until the act ends nobody else keeps these bytes or drops them. */
    public function lock(string $teamId, string $hash): void
    {
        $this->holdName($teamId.$hash);
    }

    /** @return list<array{team: string, hash: string}> bytes that a file has let go */
    public function dropped(): array
    {
        /** @var list<array{team: string, hash: string}> $rows */
        $rows = $this->rows('SELECT team_id::text AS team, hash FROM file_dropped');

        return $rows;
    }

    /** Takes bytes off the list, and says whether no file holds them any more. */
    public function letGo(string $teamId, string $hash): bool
    {
        $bytes = ['team' => $teamId, 'hash' => $hash];
        $this->run('DELETE FROM file_dropped WHERE team_id = :team AND hash = :hash', $bytes);

        return $this->row('SELECT 1 FROM file WHERE team_id = :team AND hash = :hash LIMIT 1', $bytes) === null;
    }
}
