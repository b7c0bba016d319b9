<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Marking\ReadModel\MarkTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Results\TwiceMarked;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

final readonly class ModerationReader extends ReadModel
{
    /** @return array<string, list<TwiceMarked>> answers that two or more have marked, by entry; in each by student */
    public function of(string $handoutId): array
    {
        /** @var list<array{sitting_id: string, entry: string, try: int, value: string, hand_levels: string|null, comment: string, mark_version: int, name: string, marks: string}> $rows */
        $rows = $this->rows('SELECT m.sitting_id, m.entry, m.try, r.value, r.hand_levels, r.comment, r.mark_version, st.name,
            json_agg(json_build_array(f.name, m.levels) ORDER BY f.name) AS marks
            FROM '.MarkTables::SECOND_MARKS.' m
            JOIN '.SittingTables::RESPONSES.' r ON r.sitting_id = m.sitting_id AND r.entry = m.entry AND r.try = m.try
            JOIN '.SittingTables::SITTINGS.' s ON s.id = m.sitting_id
            JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id JOIN '.StaffList::NAMES.' f ON f.id = m.staff_id
            WHERE s.handout_id = :id AND '.SittingTables::OVER.'
            GROUP BY m.sitting_id, m.entry, m.try, r.value, r.hand_levels, r.comment, r.mark_version, st.name, st.name_folded
            ORDER BY st.name_folded, m.sitting_id, m.try', ['id' => $handoutId]);
        $units = [];
        foreach ($rows as $r) {
            /** @var list<array{string, list<int|null>}> $marks as the query builds them */
            $marks = Json::decode($r['marks']);
            $units[$r['entry']][] = new TwiceMarked(
                $r['sitting_id'],
                $r['try'],
                $r['name'],
                ResponseReader::fromArray(Json::decode($r['value'])),
                array_column($marks, 1, 0),
                $r['hand_levels'] === null ? null : Json::numbers($r['hand_levels']),
                $r['comment'],
                $r['mark_version'],
            );
        }

        return $units;
    }
}
