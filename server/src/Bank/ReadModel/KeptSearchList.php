<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\KeptSearchView;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class KeptSearchList extends ReadModel
{
    /** @return list<KeptSearchView> by name */
    public function of(string $teamId, string $staffId): array
    {
        /** @var list<array{id: string, name: string, query: string}> $rows */
        $rows = $this->rows(
            'SELECT id, name, query FROM kept_search WHERE team_id = :team AND staff_id = :who ORDER BY lower(name), id',
            ['team' => $teamId, 'who' => $staffId],
        );

        return array_map(static fn (array $r): KeptSearchView => new KeptSearchView($r['id'], $r['name'], $r['query']), $rows);
    }

    /** Until the act ends, nobody else keeps one for this person. */
    public function hold(string $staffId): void
    {
        $this->holdName("searches $staffId");
    }
}
