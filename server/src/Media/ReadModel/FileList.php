<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class FileList extends ReadModel
{
    /** The team's file that holds these very bytes; an index keeps it quick, however many there are. */
    public function holding(string $teamId, string $bytes): ?string
    {
        /** @var list<array{id: string}> $rows */
        $rows = $this->rows(
            "SELECT id::text FROM file WHERE team_id = :team AND encode(sha256(bytes), 'hex') = :hash LIMIT 1",
            ['team' => $teamId, 'hash' => hash('sha256', $bytes)],
        );

        return $rows[0]['id'] ?? null;
    }
}
