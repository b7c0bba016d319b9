<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\ItemRowView;
use ChalkLadder\Server\Bank\QuestionRecords;
use ChalkLadder\Server\Bank\QuestionUses;
use ChalkLadder\Server\Bank\RemarkOn;
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

    /** A question of the skill, or of one below it in the tree. */
    private const OF_SKILL = 'i.skill_id IN (WITH RECURSIVE below AS (
        SELECT id FROM skill WHERE id = :skill AND team_id = :team UNION SELECT s.id FROM skill s JOIN below b ON s.parent_id = b.id
    ) SELECT id FROM below)';

    public function __construct(
        Connection $connection,
        private QuestionRecords $records,
        private QuestionUses $uses,
        private RemarkList $remarks,
    ) {
        parent::__construct($connection);
    }

    /**
     * How many questions there are by each value of each member, whatever value of it is looked for.
     *
     * @return array{type: array<string, int>, skill: array<string, int>, author: array<string, int>, misconception: array<string, int>, folder: array<string, int>}
     */
    public function counts(string $teamId, Search $search, Standing $standing): array
    {
        $counts = ['type' => [], 'skill' => [], 'author' => [], 'misconception' => [], 'folder' => []];
        // Members that nothing is looked for by are counted over the same questions, in one go.
        $free = array_keys(array_filter($counts, static fn (string $m): bool => $search->{$m} === null, ARRAY_FILTER_USE_KEY));
        foreach ([$free, ...array_map(static fn (string $m): array => [$m], array_diff(array_keys($counts), $free))] as $members) {
            $wider = count($members) === 1 ? $search->without($members[0]) : $search;
            foreach ($this->counted($teamId, $wider, $standing, $members) as $row) {
                $counts[$row['member']][$row['id']] = $row['n'];
            }
        }

        return $counts;
    }

    /**
     * @param list<'type'|'skill'|'author'|'misconception'|'folder'> $members
     *
     * @return list<array{member: 'type'|'skill'|'author'|'misconception'|'folder', id: string, n: int}>
     */
    private function counted(string $teamId, Search $search, Standing $standing, array $members): array
    {
        if ($members === []) {
            return [];
        }
        [$where, $parameters] = self::condition($teamId, $search, $standing);
        $parts = array_map(static fn (string $member): string => match ($member) {
            'type' => "SELECT 'type' AS member, i.type AS id, count(*) AS n FROM i GROUP BY 2",
            // A skill counts what stands below it too: choosing it finds that as well.
            'skill' => "SELECT 'skill', a.above::text, sum(o.n)::bigint FROM (SELECT skill_id, count(*) AS n FROM i GROUP BY 1) o JOIN (
                WITH RECURSIVE up AS (
                    SELECT id, id AS above FROM skill WHERE team_id = :team
                    UNION SELECT up.id, s.parent_id FROM up JOIN skill s ON s.id = up.above AND s.parent_id IS NOT NULL
                ) SELECT id, above FROM up
            ) a ON a.id = o.skill_id GROUP BY 2",
            'author' => "SELECT 'author', i.created_by::text, count(*) FROM i GROUP BY 2",
            'misconception' => "SELECT 'misconception', m.id::text, count(*) FROM i
                CROSS JOIN LATERAL (SELECT DISTINCT unnest(i.misconceptions) AS id) m GROUP BY 2",
            'folder' => "SELECT 'folder', f.id::text, count(*) FROM i JOIN folder f ON i.id = ANY(f.items) AND ".FolderList::SEEN.' GROUP BY 2',
        }, $members);
        /** @var list<array{member: 'type'|'skill'|'author'|'misconception'|'folder', id: string, n: int}> $rows */
        $rows = $this->rows('WITH i AS MATERIALIZED (SELECT i.id, i.type, i.skill_id, i.created_by, i.misconceptions FROM item i WHERE '.$where.')
            SELECT member, id, n FROM ('.implode(' UNION ALL ', $parts).') c (member, id, n) ORDER BY member, id',
            $parameters + (in_array('folder', $members, true) ? ['who' => $search->who] : []));

        return $rows;
    }

    /** @return list<string> ids of the questions that are part of this one */
    public function mergedInto(string $teamId, string $id): array
    {
        return $this->texts('SELECT id::text FROM item WHERE team_id = :team AND merged_into = :id ORDER BY id', ['team' => $teamId, 'id' => $id]);
    }

    /** @return list<string> ids of all that fit, in no order */
    public function ids(string $teamId, Search $search, Standing $standing): array
    {
        [$where, $parameters] = self::condition($teamId, $search, $standing);

        return $this->texts("SELECT i.id FROM item i WHERE $where", $parameters);
    }

    /** @return list<ItemRowView> one page, in the order that is asked for; what fits the words best stands first */
    public function found(string $teamId, Search $search, Standing $standing): array
    {
        [$where, $parameters] = self::condition($teamId, $search, $standing);
        // Of what was looked for by words the best stands first, unless another order is asked for.
        $best = $standing->fitting !== null && $search->order === Order::Latest;
        $placed = "JOIN unnest(string_to_array(:fitting, ',')::uuid[]) WITH ORDINALITY b (id, place) ON b.id = i.id";
        /** @var list<array{id: string, title: string, type: string, search: string, points: string, skill_id: string|null, misconceptions: string, updated_at: string, author: string}> $rows */
        $rows = $this->rows("SELECT i.id, i.title, i.type, i.search, i.content ->> 'points' AS points, i.skill_id,
            array_to_json(i.misconceptions) AS misconceptions, i.updated_at, a.name AS author
            FROM item i JOIN ".StaffList::NAMES.' a ON a.id = i.created_by '.($best ? $placed : '')." WHERE $where
            ORDER BY ".($best ? 'b.place' : $search->order->sql()).' LIMIT '.self::PAGE.' OFFSET '.$search->from, $parameters);
        $ids = array_column($rows, 'id');
        $records = $this->records->of($ids);
        $uses = $this->uses->counts($ids);
        $remarks = $this->remarks->open(RemarkOn::Question, $ids);

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
            $remarks[$r['id']] ?? 0,
        ), $rows);
    }

    /** @return array<string, string> names of those who have written questions, by id */
    public function authors(string $teamId): array
    {
        return $this->pairs('SELECT DISTINCT a.id::text, a.name FROM item i JOIN '.StaffList::NAMES.' a ON a.id = i.created_by
            WHERE i.team_id = :team', ['team' => $teamId]);
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

    /** @return array{string, array<string, mixed>} what must hold, and its values */
    private static function condition(string $teamId, Search $search, Standing $standing): array
    {
        $where = $search->shelf();
        $parameters = ['team' => $teamId];
        if ($standing->fitting !== null) {
            $where .= ' AND '.self::among('fitting');
            $parameters['fitting'] = implode(',', $standing->fitting);
        }
        foreach (['skill' => self::OF_SKILL, 'misconception' => ':misconception = ANY(i.misconceptions)',
            'type' => 'i.type = :type', 'author' => 'i.created_by = :author'] as $member => $condition) {
            if ($search->{$member} !== null) {
                $where .= " AND $condition";
                $parameters[$member] = $search->{$member};
            }
        }
        if ($search->folder !== null) {
            $where .= ' AND i.id IN (SELECT unnest(f.items) FROM folder f WHERE f.id = :folder AND '.FolderList::SEEN.')';
            $parameters += ['folder' => $search->folder, 'who' => $search->who];
        }
        if ($search->right !== null) {
            $none = $search->right === Band::NotSat;
            $where .= ' AND '.($none ? 'NOT ' : '').self::among('sat');
            $parameters['sat'] = implode(',', $none ? array_keys($standing->facilities) : $standing->within($search->right));
        }
        if ($search->used !== null) {
            $where .= ' AND '.($search->used ? '' : 'NOT ').self::among('used');
            $parameters['used'] = implode(',', $standing->used);
        }

        return [$where, $parameters];
    }

    private static function among(string $parameter): string
    {
        return "(i.id = ANY(string_to_array(:$parameter, ',')::uuid[]))";
    }

    private static function gist(string $search, string $title): string
    {
        return mb_strimwidth(explode("\n", $search)[1] ?? $title, 0, 160, '…');
    }
}
