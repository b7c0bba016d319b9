<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Marking\Api\View\MarkEventView;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

final readonly class MarkHistory extends ReadModel
{
    /** @return array<string, list<MarkEventView>> the changes of the marks of one question of a handout, the latest first, by `sitting|try` */
    public function ofQuestion(string $handoutId, string $entry): array
    {
        /** @var list<array{sitting_id: string, try: int, kind: string, before_credit: string|null, after_credit: string|null, comment: string, name: string, at: string}> $rows */
        $rows = $this->rows('SELECT e.sitting_id, e.try, e.kind, e.before_credit, e.after_credit, e.comment, st.name, e.at
            FROM mark_event e JOIN '.SittingTables::SITTINGS.' s ON s.id = e.sitting_id
            JOIN '.StaffList::NAMES.' st ON st.id = e.staff_id WHERE s.handout_id = :handout AND e.entry = :entry
            ORDER BY e.at DESC, e.id DESC', [
            'handout' => $handoutId,
            'entry' => $entry,
        ]);
        $events = [];
        foreach ($rows as $r) {
            $events[$r['sitting_id'].'|'.$r['try']][] = new MarkEventView(
                $r['kind'],
                $r['before_credit'],
                $r['after_credit'],
                $r['comment'],
                $r['name'],
                Moment::iso($r['at']),
            );
        }

        return $events;
    }

    /**
     * @param list<string> $changeIds
     *
     * @return array<string, array{gains: int, loses: int}> how many answers gained and lost by each change of a key
     */
    public function effects(array $changeIds): array
    {
        /** @var list<array{key_change_id: string, gains: int, loses: int}> $rows */
        $rows = $changeIds === [] ? [] : $this->rows("SELECT e.key_change_id,
            count(*) FILTER (WHERE coalesce(credit_number(e.after_credit), 0) > coalesce(credit_number(e.before_credit), 0)) AS gains,
                count(*) FILTER (WHERE coalesce(credit_number(e.after_credit), 0) < coalesce(credit_number(e.before_credit), 0)) AS loses
            FROM mark_event e WHERE e.kind = 'key change' AND e.key_change_id IN (:ids) GROUP BY e.key_change_id", ['ids' => $changeIds]);
        $effects = [];
        foreach ($rows as $row) {
            $effects[$row['key_change_id']] = ['gains' => $row['gains'], 'loses' => $row['loses']];
        }

        return $effects;
    }

    /**
     * What other rules did to marks, written in one statement.
     *
     * @param string|null    $changeId of a key, where it was one
     * @param list<Remarked> $marked
     */
    public function addAll(string $kind, ?string $changeId, string $staffId, \DateTimeImmutable $at, array $marked): void
    {
        $credit = static fn (Outcome $o): ?string => $o->credit === null ? null : (string) $o->credit;
        $rows = array_map(static fn (Remarked $r): array => [
            'i' => Id::fresh(), 's' => $r->sittingId, 'e' => $r->entry, 't' => $r->try,
            'b' => $credit($r->before), 'a' => $credit($r->after),
        ], $marked);
        $this->run('INSERT INTO mark_event (id, sitting_id, entry, try, kind, before_credit, after_credit, key_change_id, staff_id, at)
            SELECT n.i, n.s, n.e, n.t, :kind, n.b, n.a, :change, :staff, :at
            FROM jsonb_to_recordset(:rows::jsonb) AS n (i uuid, s uuid, e text, t int, b text, a text)', [
            'rows' => Json::encode($rows),
            'kind' => $kind,
            'change' => $changeId,
            'staff' => $staffId,
            'at' => Moment::stored($at),
        ]);
    }
}
