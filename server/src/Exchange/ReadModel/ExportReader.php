<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** What goes out of a handout: every handed-in attempt, by student. */
final readonly class ExportReader extends ReadModel
{
    /** The classes of the handout that a student is or was in. */
    private const CLASSES = "(SELECT string_agg(p.class, ', ' ORDER BY p.class) FROM ".HandoutTables::CLASSES.' hc
        JOIN '.RosterTables::PLACES.' p ON p.class_id = hc.class_id AND p.student_id = s.student_id WHERE hc.handout_id = s.handout_id)';

    /** @return list<array{classes: string|null, sitting_id: string, seed: string, name: string, attempt: int, counts: bool, entry: string, try: int, value: string, read_as: string, verdict: string, credit: string|null, by_hand: bool, marker: string|null, comment: string, misconceptions: string, saved_at: string, millis: int|null, confidence: int|null, hints_opened: int}> */
    public function responses(string $handoutId): array
    {
        /** @var list<array{classes: string|null, sitting_id: string, seed: string, name: string, attempt: int, counts: bool, entry: string, try: int, value: string, read_as: string, verdict: string, credit: string|null, by_hand: bool, marker: string|null, comment: string, misconceptions: string, saved_at: string, millis: int|null, confidence: int|null, hints_opened: int}> $rows */
        $rows = $this->rows('SELECT '.self::CLASSES.' AS classes, s.id AS sitting_id, s.seed, st.name, s.attempt, s.counts,
                r.entry, r.try, r.value, r.read_as, r.verdict, '.SittingTables::CREDIT.' AS credit, r.hand_credit IS NOT NULL AS by_hand,
                m.name AS marker, r.comment, to_json(r.misconceptions) AS misconceptions, r.saved_at, r.millis, r.confidence, r.hints_opened
            FROM '.SittingTables::RESPONSES.' r JOIN '.SittingTables::ATTEMPTS.' s ON s.id = r.sitting_id
            JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id LEFT JOIN '.StaffList::NAMES.' m ON m.id = r.hand_by
            WHERE s.handout_id = :id ORDER BY st.name_folded, st.id, s.attempt, r.try', ['id' => $handoutId]);

        return $rows;
    }

    /** @return list<array{classes: string|null, name: string, attempt: int, counts: bool, state: string, walk: string, marks: string, waiting: int, handed_in_at: string|null, returned_at: string|null}> */
    public function marks(string $handoutId): array
    {
        /** @var list<array{classes: string|null, name: string, attempt: int, counts: bool, state: string, walk: string, marks: string, waiting: int, handed_in_at: string|null, returned_at: string|null}> $rows */
        $rows = $this->rows('SELECT '.self::CLASSES.' AS classes, st.name, s.attempt, s.counts, s.state, s.walk,
            trim_scale(s.marks)::text AS marks, s.handed_in_at, s.returned_at,
                (SELECT count(*) FROM '.SittingTables::RESPONSES.' r WHERE r.sitting_id = s.id AND '.SittingTables::WAITS.') AS waiting
            FROM '.SittingTables::ATTEMPTS.' s JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id WHERE s.handout_id = :id
            ORDER BY st.name_folded, st.id, s.attempt', ['id' => $handoutId]);

        return $rows;
    }
}
