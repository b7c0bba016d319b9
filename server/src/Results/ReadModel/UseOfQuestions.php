<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** In which handouts questions of the bank were answered. */
final readonly class UseOfQuestions extends ReadModel
{
    /**
     * @param list<string> $questionIds
     *
     * @return list<array{item: string, entry: string, handout: string, team: string, state: string}> state: changes whenever anything that was counted does
     */
    public function of(array $questionIds): array
    {
        /** @var list<array{item: string, entry: string, handout: string, team: string, state: string}> $rows */
        $rows = $questionIds === [] ? [] : $this->rows("SELECT ei.item_id AS item, ei.entry, h.id AS handout, h.team_id AS team,
            e.rules_version || '-' || w.n || '-' || w.changes AS state
            FROM ".PaperTables::ITEMS.' ei JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            JOIN (SELECT s.handout_id, count(*) AS n, sum(s.revision) AS changes FROM '.SittingTables::SITTINGS.' s
            WHERE '.SittingTables::OVER.' GROUP BY s.handout_id) w ON w.handout_id = h.id
            WHERE ei.item_id IN (:ids) ORDER BY h.made_at, h.id, ei.entry', ['ids' => $questionIds]);

        return $rows;
    }
}
