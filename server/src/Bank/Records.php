<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;

/** What is known of questions from all their uses. */
final readonly class Records
{
    /** First tries of handed-in work, by bank question, through the editions that hold it. */
    public const FIRST_TRIES = "SELECT eq.item_id, h.id AS handout_id, s.student_id, r.line, r.millis, coalesce(r.hand_credit, r.credit) AS credit
        FROM edition_item eq
        JOIN handout h ON h.edition_id = eq.edition_id
        JOIN sitting s ON s.handout_id = h.id AND s.state <> 'open'
        JOIN response r ON r.sitting_id = s.id AND r.entry = eq.entry AND r.try = 1";
    private const MOST_LINES = 12;

    public function __construct(private Database $database)
    {
    }

    public function show(string $id): RecordView
    {
        $rows = $this->database->rows('SELECT line, count(*) AS n FROM ('.self::FIRST_TRIES.' WHERE eq.item_id = :id) q GROUP BY line ORDER BY n DESC, line LIMIT '.self::MOST_LINES, ['id' => $id]);
        $whole = $this->of([$id])[$id] ?? new ItemRecord(0, 0, null, null);

        return new RecordView($whole->handouts, $whole->students, $whole->facility, $whole->seconds, array_map(static fn (Row $r): RecordLineView => new RecordLineView($r->text('line'), $r->int('n')), $rows));
    }

    /**
     * @param list<string> $ids of the asking team’s questions
     *
     * @return array<string, ItemRecord> by id; a question that nobody has answered is absent
     */
    public function of(array $ids): array
    {
        $records = [];
        foreach ($ids === [] ? [] : $this->database->rows('SELECT item_id::text, count(DISTINCT handout_id) AS handouts, count(DISTINCT student_id) AS students, avg(credit_number(credit)) AS facility, percentile_cont(0.5) WITHIN GROUP (ORDER BY millis) / 1000 AS seconds
            FROM ('.self::FIRST_TRIES.' WHERE eq.item_id::text IN (:ids)) q GROUP BY item_id', ['ids' => $ids]) as $row) {
            $records[$row->text('item_id')] = new ItemRecord($row->int('handouts'), $row->int('students'), $row->floatOrNull('facility'), $row->floatOrNull('seconds'));
        }

        return $records;
    }
}
