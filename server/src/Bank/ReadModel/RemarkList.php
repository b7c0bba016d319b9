<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\RemarkView;
use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What colleagues remarked on a question or paper. */
final readonly class RemarkList extends ReadModel
{
    private const MOST = 200;

    /** @return list<RemarkView> open ones first, each as they came */
    public function of(string $teamId, RemarkOn $on, string $id, string $reader): array
    {
        /** @var list<array{id: string, part: string, text: string, by: string, made_by: string, made_at: string, settler: string|null, settled_at: string|null}> $rows */
        $rows = $this->rows('SELECT r.id, r.part, r.text, m.name AS by, r.made_by, r.made_at, s.name AS settler, r.settled_at
            FROM remark r JOIN '.StaffList::NAMES.' m ON m.id = r.made_by LEFT JOIN '.StaffList::NAMES.' s ON s.id = r.settled_by
            WHERE r.team_id = :team AND r.'.$on->value.'_id = :id ORDER BY r.settled_at IS NOT NULL, r.made_at, r.id LIMIT '.self::MOST, [
            'team' => $teamId, 'id' => $id,
        ]);

        return array_map(static fn (array $r): RemarkView => new RemarkView(
            $r['id'],
            $r['part'],
            $r['text'],
            $r['by'],
            Moment::iso($r['made_at']),
            $r['made_by'] === $reader,
            $r['settler'],
            $r['settled_at'] === null ? null : Moment::iso($r['settled_at']),
        ), $rows);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, int> open remarks by question or paper; none is absent
     */
    public function open(RemarkOn $on, array $ids): array
    {
        /** @var list<array{id: string, n: int}> $rows */
        $rows = $ids === [] ? [] : $this->rows("SELECT {$on->value}_id AS id, count(*) AS n FROM remark
            WHERE settled_at IS NULL AND {$on->value}_id IN (:ids) GROUP BY 1", ['ids' => $ids]);

        return array_column($rows, 'n', 'id');
    }
}
