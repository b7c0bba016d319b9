<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use ChalkLadder\Server\Bank\ReadModel\BankTables;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** In which handouts questions of the bank were answered. */
final readonly class UseOfQuestions extends ReadModel
{
    /** Work that is over, by handout: how much, and how often it was changed. */
    private const WORK = '(SELECT s.handout_id, count(*) AS n, sum(s.revision) AS changes FROM '.SittingTables::SITTINGS.' s
        WHERE '.SittingTables::OVER.' GROUP BY s.handout_id)';

    /** One word that changes whenever anything that the team's records count does. */
    public function stateOf(string $teamId): string
    {
        return $this->texts("SELECT md5(coalesce(string_agg(h.id || '-' || e.rules_version || '-' || w.n || '-' || w.changes, ','
            ORDER BY h.id), '')) FROM ".HandoutTables::HANDOUTS.' h JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id WHERE h.team_id = :team', ['team' => $teamId])[0] ?? '';
    }

    /** @return list<string> ids of the team's questions that somebody has sat */
    public function sat(string $teamId): array
    {
        return $this->texts('SELECT DISTINCT ei.item_id FROM '.PaperTables::ITEMS.' ei
            JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id WHERE h.team_id = :team', ['team' => $teamId]);
    }

    /** @return array<string, string> ids of the skills that questions somebody has sat are evidence of now, by question */
    public function skills(string $teamId): array
    {
        return $this->pairs('SELECT DISTINCT q.id::text, q.skill_id::text FROM '.BankTables::SKILLS_OF_QUESTIONS.' q
            JOIN '.PaperTables::ITEMS.' ei ON ei.item_id = q.id JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            WHERE h.team_id = :team AND q.skill_id IS NOT NULL', ['team' => $teamId]);
    }

    /**
     * @param list<string> $questionIds
     *
     * @return list<array{item: string, entry: string, handout: string, team: string, made: string, state: string}> state: changes whenever anything that was counted does
     */
    public function of(array $questionIds): array
    {
        /** @var list<array{item: string, entry: string, handout: string, team: string, made: string, state: string}> $rows */
        $rows = $questionIds === [] ? [] : $this->rows("SELECT ei.item_id AS item, ei.entry, h.id AS handout,
            h.team_id AS team, h.made_at AS made,
            e.rules_version || '-' || w.n || '-' || w.changes AS state
            FROM ".PaperTables::ITEMS.' ei JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id
            WHERE ei.item_id IN (:ids) ORDER BY h.made_at, h.id, ei.entry', ['ids' => $questionIds]);

        return $rows;
    }
}
