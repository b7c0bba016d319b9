<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Paper\HandoutCounts;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class PaperUse extends ReadModel implements HandoutCounts
{
    public function byPaper(array $paperIds): array
    {
        /** @var list<array{paper_id: string, n: int}> $rows */
        $rows = $paperIds === [] ? [] : $this->rows('SELECT e.paper_id, count(*) AS n FROM handout h
            JOIN '.PaperTables::EDITIONS.' e ON e.id = h.edition_id
            WHERE e.paper_id IN (:ids) GROUP BY e.paper_id', ['ids' => $paperIds]);

        return array_column($rows, 'n', 'paper_id');
    }
}
