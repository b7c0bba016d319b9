<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;

/** Takes away the files of sittings; their bytes follow by the clock, when the act is durable. */
final readonly class Forgetting extends ReadModel
{
    /** @param list<string> $sittingIds */
    public function forget(array $sittingIds): void
    {
        if ($sittingIds === []) {
            return;
        }
        $this->run('INSERT INTO file_dropped (team_id, hash, dropped_at)
            SELECT DISTINCT team_id, hash, now() FROM file WHERE sitting_id IN (:sittings)
            ON CONFLICT (team_id, hash) DO NOTHING', ['sittings' => $sittingIds]);
        $this->run('DELETE FROM upload WHERE sitting_id IN (:sittings)', ['sittings' => $sittingIds]);
        $this->run('DELETE FROM file WHERE sitting_id IN (:sittings)', ['sittings' => $sittingIds]);
    }
}
