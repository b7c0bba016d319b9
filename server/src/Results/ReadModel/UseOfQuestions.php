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
        $work = $this->texts("SELECT md5(coalesce(string_agg(h.id || '-' || e.rules_version || '-' || w.n || '-' || w.changes, ','
            ORDER BY h.id), '')) FROM ".HandoutTables::HANDOUTS.' h JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id WHERE h.team_id = :team', ['team' => $teamId])[0] ?? '';
        $same = $this->texts("SELECT md5(coalesce(string_agg(q.id || '-' || q.stands, ',' ORDER BY q.id), '')) FROM "
            .BankTables::STANDING_FOR.' q WHERE q.team_id = :team AND q.stands <> q.id', ['team' => $teamId])[0] ?? '';

        return "$work-$same";
    }

    /** @return list<string> ids of the team's questions that somebody has sat */
    public function sat(string $teamId): array
    {
        return $this->texts('SELECT DISTINCT q.stands FROM '.PaperTables::ITEMS.' ei
            JOIN '.BankTables::STANDING_FOR.' q ON q.id = ei.item_id
            JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id WHERE h.team_id = :team', ['team' => $teamId]);
    }

    /** @return array<string, string> ids of the skills that questions somebody has sat are evidence of now, by question */
    public function skills(string $teamId): array
    {
        return $this->pairs('SELECT DISTINCT s.id::text, s.skill_id::text FROM '.BankTables::STANDING_FOR.' q
            JOIN '.BankTables::SKILLS_OF_QUESTIONS.' s ON s.id = q.stands
            JOIN '.PaperTables::ITEMS.' ei ON ei.item_id = q.id JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            WHERE h.team_id = :team AND s.skill_id IS NOT NULL', ['team' => $teamId]);
    }

    /**
     * @param list<string> $questionIds
     *
     * @return list<array{item: string, own: bool, entry: string, handout: string, team: string, made: string, state: string}> own: not that of another one that is part of it; state: changes whenever anything that was counted does
     */
    public function of(array $questionIds): array
    {
        /** @var list<array{item: string, own: bool, entry: string, handout: string, team: string, made: string, state: string}> $rows */
        $rows = $questionIds === [] ? [] : $this->rows("SELECT q.stands AS item, q.stands = q.id AS own, ei.entry, h.id AS handout,
            h.team_id AS team, h.made_at AS made,
            e.rules_version || '-' || w.n || '-' || w.changes AS state
            FROM ".PaperTables::ITEMS.' ei JOIN '.BankTables::STANDING_FOR.' q ON q.id = ei.item_id
            JOIN '.HandoutTables::HANDOUTS.' h ON h.edition_id = ei.edition_id
            JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            JOIN '.self::WORK.' w ON w.handout_id = h.id
            WHERE q.stands IN (:ids) ORDER BY h.made_at, h.id, ei.entry', ['ids' => $questionIds]);

        return $rows;
    }
}
