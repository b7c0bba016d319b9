<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use Brick\Math\BigRational;
use ChalkLadder\Core\Exchange\Csv;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handout;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Lookout\Lookout;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;

/** Responses and marks as CSV; docs/formats/exports.md tells the columns. */
final readonly class Exports
{
    private const RESPONSES = ['class', 'student', 'attempt', 'counts', 'question', 'title', 'try', 'response', 'read as', 'verdict', 'credit', 'marks', 'of', 'marked by', 'comment', 'misconceptions', 'saved at', 'seconds', 'confidence'];
    private const MARKS = ['class', 'student', 'attempt', 'counts', 'state', 'marks', 'of', 'waiting', 'handed in at', 'returned at'];
    /** The classes of the handout that a student is in. */
    private const CLASSES = "(SELECT string_agg(c.name, ', ' ORDER BY c.name) FROM handout_class hc JOIN class c ON c.id = hc.class_id JOIN class_member cm ON cm.class_id = c.id AND cm.student_id = st.id WHERE hc.handout_id = s.handout_id)";

    public function __construct(private Database $database, private Handouts $handouts, private Terms $terms)
    {
    }

    public function responses(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $paper = $handout->edition->paper();
        $numbers = $handout->edition->numbers();
        $names = $this->terms->misconceptionNames($teamId);
        $counting = $this->counting($handout);
        $rows = $this->database->rows('SELECT '.self::CLASSES." AS classes, s.id AS sitting_id, s.seed, st.name, s.attempt, r.entry, r.try, r.value, r.read_as, r.verdict, coalesce(r.hand_credit, r.credit) AS credit, r.hand_credit IS NOT NULL AS by_hand, m.name AS marker, r.comment, to_json(r.misconceptions) AS misconceptions, r.saved_at, r.millis, r.confidence
            FROM response r JOIN sitting s ON s.id = r.sitting_id JOIN student st ON st.id = s.student_id LEFT JOIN staff m ON m.id = r.hand_by
            WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, st.id, s.attempt, r.try", ['id' => $handoutId]);
        $rows = array_values(array_filter($rows, static fn (Row $r): bool => isset($numbers[$r->text('entry')])));
        // Within an attempt by the number the question has on the paper; sorting is stable.
        $place = array_flip(array_values(array_unique(array_map(static fn (Row $r): string => $r->text('sitting_id'), $rows))));
        usort($rows, static fn (Row $a, Row $b): int => [$place[$a->text('sitting_id')], $numbers[$a->text('entry')]] <=> [$place[$b->text('sitting_id')], $numbers[$b->text('entry')]]);
        $table = [self::RESPONSES];
        foreach ($rows as $row) {
            $entry = $row->text('entry');
            $item = $handout->edition->own($entry, $row->text('seed'))->item ?? null;
            if ($item === null) {
                continue;
            }
            $credit = $row->textOrNull('credit');
            $table[] = [
                $row->textOrNull('classes') ?? '',
                $row->text('name'),
                $row->int('attempt'),
                isset($counting[$row->text('sitting_id')]) ? 'yes' : 'no',
                $numbers[$entry],
                $handout->edition->title($entry),
                $row->int('try'),
                Lookout::given($item, Response::fromArray($row->json('value'))),
                $row->text('read_as'),
                match (true) {
                    $credit === null => 'waits for a marker',
                    $row->bool('by_hand') => Verdict::ofCredit(BigRational::of($credit))->value,
                    default => $row->text('verdict'),
                },
                $credit ?? '',
                $credit === null ? '' : NumberText::write(Marks::of(Walk::bestCredit($paper, [$row->int('try') => BigRational::of($credit)]), $item->points, $handout->markStep)),
                NumberText::write($item->points),
                match (true) {
                    $credit === null => '',
                    $row->bool('by_hand') => $row->textOrNull('marker') ?? '',
                    default => 'machine',
                },
                $row->text('comment'),
                implode('; ', array_map(static fn (string $id): string => $names[$id] ?? '', $row->names('misconceptions'))),
                $row->time('saved_at'),
                $row->intOrNull('millis') === null ? '' : sprintf('%.1f', $row->int('millis') / 1000),
                $row->intOrNull('confidence') ?? '',
            ];
        }

        return Csv::write($table);
    }

    public function marks(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counting = $this->counting($handout);
        $table = [self::MARKS];
        foreach ($this->database->rows('SELECT '.self::CLASSES." AS classes, s.id, st.name, s.attempt, s.state, s.walk, trim_scale(s.marks)::text AS marks, s.handed_in_at, s.returned_at,
                (SELECT count(*) FROM response r WHERE r.sitting_id = s.id AND r.verdict = 'by hand' AND r.hand_credit IS NULL) AS waiting
            FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, st.id, s.attempt", ['id' => $handout->id]) as $row) {
            /** @var array{visits: list<array{section: string, try: int, entries: list<string>}>, ended: bool} $walk written by ourselves */
            $walk = $row->json('walk');
            $table[] = [
                $row->textOrNull('classes') ?? '',
                $row->text('name'),
                $row->int('attempt'),
                isset($counting[$row->text('id')]) ? 'yes' : 'no',
                $row->text('state'),
                $row->text('marks'),
                NumberText::write(Score::of($handout->edition->paper(), Walk::fromArray($walk), [], $handout->markStep)->possible),
                $row->int('waiting'),
                $row->timeOrNull('handed_in_at') ?? '',
                $row->timeOrNull('returned_at') ?? '',
            ];
        }

        return Csv::write($table);
    }

    /** @return array<string, true> ids of the sittings that count by the handout's attempt rule */
    private function counting(Handout $handout): array
    {
        $attempts = [];
        foreach ($this->database->rows("SELECT id, student_id, attempt, marks FROM sitting WHERE handout_id = :id AND state <> 'open'", ['id' => $handout->id]) as $row) {
            $attempts[$row->text('student_id')][$row->int('attempt')] = ['marks' => $row->float('marks'), 'id' => $row->text('id')];
        }
        $counting = [];
        foreach ($attempts as $byAttempt) {
            foreach ($handout->conditions->counts->counting(array_map(static fn (array $a): float => $a['marks'], $byAttempt)) as $attempt) {
                $counting[$byAttempt[$attempt]['id']] = true;
            }
        }

        return $counting;
    }
}
