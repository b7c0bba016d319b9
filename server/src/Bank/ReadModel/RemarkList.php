<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\RemarkView;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What colleagues remarked on a question. */
final readonly class RemarkList extends ReadModel
{
    private const MOST = 200;

    /** @return list<RemarkView> open ones first, each as they came */
    public function of(string $teamId, string $questionId, string $reader): array
    {
        /** @var list<array{id: string, part: string, text: string, by: string, made_by: string, made_at: string, settler: string|null, settled_at: string|null}> $rows */
        $rows = $this->rows('SELECT r.id, r.part, r.text, m.name AS by, r.made_by, r.made_at, s.name AS settler, r.settled_at
            FROM item_remark r JOIN '.StaffList::NAMES.' m ON m.id = r.made_by LEFT JOIN '.StaffList::NAMES.' s ON s.id = r.settled_by
            WHERE r.team_id = :team AND r.item_id = :item ORDER BY r.settled_at IS NOT NULL, r.made_at, r.id LIMIT '.self::MOST, [
            'team' => $teamId, 'item' => $questionId,
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
     * @param list<string> $questionIds
     *
     * @return array<string, int> open remarks by question; none is absent
     */
    public function open(array $questionIds): array
    {
        /** @var list<array{id: string, n: int}> $rows */
        $rows = $questionIds === [] ? [] : $this->rows('SELECT item_id AS id, count(*) AS n FROM item_remark
            WHERE settled_at IS NULL AND item_id IN (:ids) GROUP BY item_id', ['ids' => $questionIds]);

        return array_column($rows, 'n', 'id');
    }
}
