<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\ReadModel;

use ChalkLadder\Server\Bank\QuestionUses;
use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Bank\Remarks;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Paper\Api\View\PaperRowView;
use ChalkLadder\Server\Paper\HandoutCounts;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Doctrine\DBAL\Connection;

final readonly class PaperList extends ReadModel implements QuestionUses, TrailSubjects
{
    public function __construct(Connection $connection, private HandoutCounts $handouts, private Remarks $remarks)
    {
        parent::__construct($connection);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, string> titles of those that have no edition, by id
     */
    public function unpublished(array $ids): array
    {
        return $ids === [] ? [] : $this->pairs(
            'SELECT p.id::text, p.title FROM paper p WHERE p.id IN (:ids) AND NOT EXISTS (SELECT 1 FROM edition e WHERE e.paper_id = p.id)',
            ['ids' => $ids],
        );
    }

    /** The paper that an earlier request of the same name has made; until the act ends, nobody else asks for that name. */
    public function ofRequest(string $teamId, string $requestId): ?string
    {
        $this->holdName($teamId.$requestId);

        return $this->texts(
            'SELECT id FROM paper WHERE team_id = :team AND request_id = :request',
            ['team' => $teamId, 'request' => $requestId],
        )[0] ?? null;
    }

    /** @return list<PaperRowView> the latest first */
    public function all(string $teamId): array
    {
        /** @var list<array{id: string, title: string, updated_at: string, version: int, updater: string, sections: int, questions: int, edition_id: string|null, edition: int|null, ahead: bool|null}> $rows */
        $rows = $this->rows("SELECT p.id, p.title, p.updated_at, p.version, s.name AS updater,
            jsonb_array_length(p.content -> 'sections') AS sections,
                (SELECT count(*) FROM jsonb_path_query(p.content, '$.sections[*].entries[*] ? (@.kind == \"question\")')) AS questions,
                e.id AS edition_id, e.number AS edition, e.of_version < p.version OR ".BankChanges::SOME.' AS ahead
            FROM paper p JOIN '.StaffList::NAMES.' s ON s.id = p.updated_by
            LEFT JOIN LATERAL (SELECT id, number, of_version FROM edition WHERE paper_id = p.id
            ORDER BY number DESC LIMIT 1) e ON true
            WHERE p.team_id = :team AND p.archived_at IS NULL ORDER BY p.updated_at DESC, p.id', ['team' => $teamId]);
        $handouts = $this->handouts->byPaper(array_column($rows, 'id'));
        $remarks = $this->remarks->open(RemarkOn::Paper, array_column($rows, 'id'));

        return array_map(static fn (array $r): PaperRowView => new PaperRowView(
            $r['id'],
            $r['title'],
            $r['sections'],
            $r['questions'],
            $r['edition_id'],
            $r['edition'],
            $r['ahead'] ?? false,
            $handouts[$r['id']] ?? 0,
            $r['updater'],
            Moment::iso($r['updated_at']),
            $remarks[$r['id']] ?? 0,
        ), $rows);
    }

    public function staffName(string $id): string
    {
        return $this->texts('SELECT name FROM '.StaffList::NAMES.' s WHERE id = :id', ['id' => $id])[0] ?? '';
    }

    public function papers(string $teamId, string $questionId): array
    {
        return $this->texts("SELECT p.title FROM paper p WHERE p.team_id = :team AND p.archived_at IS NULL
            AND jsonb_path_exists(p.content, '$.sections[*].entries[*] ? (@.item == \$id)', jsonb_build_object('id', :id::text))
            ORDER BY p.title", ['team' => $teamId, 'id' => $questionId]);
    }

    /** @return list<string> ids of all drafts, those put away too, that name this skill, misconception or whatever else has this id */
    public function naming(string $teamId, string $id): array
    {
        return $this->texts(
            'SELECT id::text FROM paper WHERE team_id = :team AND position(:id IN content::text) > 0 ORDER BY id',
            ['team' => $teamId, 'id' => $id],
        );
    }

    public function used(string $teamId): array
    {
        return $this->texts('SELECT DISTINCT ei.item_id FROM edition_item ei JOIN edition e ON e.id = ei.edition_id
            WHERE e.team_id = :team AND ei.item_id IS NOT NULL', ['team' => $teamId]);
    }

    public function counts(array $questionIds): array
    {
        /** @var list<array{item_id: string, n: int}> $rows */
        $rows = $questionIds === [] ? [] : $this->rows('SELECT ei.item_id, count(DISTINCT e.paper_id) AS n FROM edition_item ei
            JOIN edition e ON e.id = ei.edition_id
            WHERE ei.item_id IN (:ids) GROUP BY ei.item_id', ['ids' => $questionIds]);

        return array_column($rows, 'n', 'item_id');
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows('SELECT id::text, title AS name, archived_at IS NOT NULL AS away FROM paper
            WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT e.id::text, p.title, false FROM edition e JOIN paper p ON p.id = e.paper_id
            WHERE e.team_id = :team AND e.id IN (:ids)
            UNION ALL SELECT k.id::text, \'\', '.KeyChangeList::UNDOABLE.' FROM key_change k JOIN edition e ON e.id = k.edition_id
            WHERE e.team_id = :team AND k.id IN (:ids)', ['team' => $teamId, 'ids' => $ids]);

        return TrailSubject::byId($rows);
    }
}
