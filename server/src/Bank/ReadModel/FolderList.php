<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\FolderView;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class FolderList extends ReadModel
{
    /** Folders `f` that the asker `:who` of the team `:team` may know of; {@see \ChalkLadder\Server\Bank\Entity\Folder::isSeenBy()}. */
    public const SEEN = 'f.team_id = :team AND (f.staff_id IS NULL OR f.staff_id = :who)';

    /** @return list<FolderView> the team's first, each by name */
    public function of(string $teamId, string $staffId): array
    {
        /** @var list<array{id: string, name: string, own: bool, n: int}> $rows */
        $rows = $this->rows('SELECT f.id, f.name, f.staff_id IS NOT NULL AS own, cardinality(f.items) AS n FROM folder f
            WHERE '.self::SEEN.' ORDER BY own, lower(f.name), f.id', ['team' => $teamId, 'who' => $staffId]);

        return array_map(static fn (array $r): FolderView => new FolderView($r['id'], $r['name'], $r['own'], $r['n']), $rows);
    }

    /** Until the act ends, nobody else of the team makes or names a folder. */
    public function hold(string $teamId): void
    {
        $this->holdName("folders $teamId");
    }

    /**
     * @param list<string> $ids
     *
     * @return list<string> those that are questions of the team
     */
    public function questions(string $teamId, array $ids): array
    {
        return $ids === [] ? [] : $this->texts('SELECT id::text FROM item WHERE team_id = :team AND id IN (:ids)', ['team' => $teamId, 'ids' => $ids]);
    }
}
