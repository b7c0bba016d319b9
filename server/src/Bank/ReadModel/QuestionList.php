<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\ItemRowView;
use ChalkLadder\Server\Bank\QuestionRecords;
use ChalkLadder\Server\Bank\QuestionUses;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use Doctrine\DBAL\Connection;

final readonly class QuestionList extends ReadModel implements TrailSubjects
{
    private const PAGE = 100;
    private const MOST_WORDS = 8;

    public function __construct(Connection $connection, private QuestionRecords $records, private QuestionUses $uses)
    {
        parent::__construct($connection);
    }

    /** @return array<string, int> questions by type, whatever type is looked for */
    public function types(string $teamId, Search $search): array
    {
        [$where, $parameters] = self::condition($teamId, $search->without('type'));

        return $this->counts("SELECT i.type AS id, count(*) AS n FROM item i WHERE $where GROUP BY i.type ORDER BY i.type", $parameters);
    }

    /** @return list<ItemRowView> one page, in the order that is asked for */
    public function found(string $teamId, Search $search): array
    {
        [$where, $parameters] = self::condition($teamId, $search);
        /** @var list<array{id: string, title: string, type: string, search: string, points: string, skill_id: string|null, misconceptions: string, updated_at: string, author: string}> $rows */
        $rows = $this->rows("SELECT i.id, i.title, i.type, i.search, i.content ->> 'points' AS points, i.skill_id,
            array_to_json(i.misconceptions) AS misconceptions, i.updated_at, a.name AS author
            FROM item i JOIN ".StaffList::NAMES." a ON a.id = i.created_by WHERE $where
            ORDER BY ".$search->order->sql().' LIMIT '.self::PAGE.' OFFSET '.$search->from, $parameters);
        $ids = array_column($rows, 'id');
        $records = $this->records->of($ids);
        $uses = $this->uses->counts($ids);

        return array_map(static fn (array $r): ItemRowView => new ItemRowView(
            $r['id'],
            $r['title'],
            $r['type'],
            self::gist($r['search'], $r['title']),
            $r['points'],
            $r['skill_id'],
            Json::texts($r['misconceptions']),
            $r['author'],
            Moment::iso($r['updated_at']),
            $uses[$r['id']] ?? 0,
            ($records[$r['id']] ?? null)?->facility,
            ($records[$r['id']] ?? null)->students ?? 0,
        ), $rows);
    }

    /** @return array<string, int> questions by skill, whatever skill is looked for */
    public function skills(string $teamId, Search $search): array
    {
        [$where, $parameters] = self::condition($teamId, $search->without('skill'));

        return $this->counts("SELECT i.skill_id::text AS id, count(*) AS n FROM item i
            WHERE $where AND i.skill_id IS NOT NULL GROUP BY i.skill_id", $parameters);
    }

    /** @return array<string, int> questions by misconception, whatever misconception is looked for */
    public function misconceptions(string $teamId, Search $search): array
    {
        [$where, $parameters] = self::condition($teamId, $search->without('misconception'));

        return $this->counts("SELECT m.id::text AS id, count(DISTINCT i.id) AS n FROM item i CROSS JOIN unnest(i.misconceptions) m (id)
            WHERE $where GROUP BY m.id", $parameters);
    }

    /**
     * @param array<string, mixed> $parameters
     *
     * @return array<string, int>
     */
    private function counts(string $sql, array $parameters): array
    {
        /** @var list<array{id: string, n: int}> $rows */
        $rows = $this->rows($sql, $parameters);

        return array_column($rows, 'n', 'id');
    }

    /** @return array{string, string} names of its author and of who saved it last */
    public function hands(string $createdBy, string $updatedBy): array
    {
        $names = $this->pairs('SELECT id::text, name FROM '.StaffList::NAMES.' s WHERE id IN (:ids)', ['ids' => [$createdBy, $updatedBy]]);

        return [$names[$createdBy] ?? '', $names[$updatedBy] ?? ''];
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows('SELECT id::text, title AS name, archived_at IS NOT NULL AS away FROM item
            WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM skill WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM misconception
            WHERE team_id = :team AND id IN (:ids)', ['team' => $teamId, 'ids' => $ids]);

        return TrailSubject::byId($rows);
    }

    /** @return array{string, array<string, mixed>} */
    private static function condition(string $teamId, Search $search): array
    {
        $where = 'i.team_id = :team AND i.archived_at IS NULL';
        $parameters = ['team' => $teamId];
        foreach (array_slice($search->words(), 0, self::MOST_WORDS) as $i => $word) {
            $where .= " AND i.search LIKE :word$i";
            $parameters["word$i"] = '%'.addcslashes($word, '%_\\').'%';
        }
        if ($search->skill !== null) {
            $where .= ' AND i.skill_id = :skill';
            $parameters['skill'] = $search->skill;
        }
        if ($search->misconception !== null) {
            $where .= ' AND :misconception = ANY(i.misconceptions)';
            $parameters['misconception'] = $search->misconception;
        }
        if ($search->type !== null) {
            $where .= ' AND i.type = :type';
            $parameters['type'] = $search->type;
        }

        return [$where, $parameters];
    }

    private static function gist(string $search, string $title): string
    {
        return mb_strimwidth(explode("\n", $search)[1] ?? $title, 0, 160, '…');
    }
}
