<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Item\ChoiceRule;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\Handout;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;

/** Reads a handout's handed-in work into columns: two queries, whatever the size. */
final readonly class Counting
{
    public function __construct(private Database $database)
    {
    }

    public function count(Handout $handout): Counted
    {
        $sittings = $this->countingSittings($handout);
        $given = $this->responses($handout->id, array_fill_keys(array_merge([], ...array_map(static fn (array $s): array => array_map(static fn (Row $r): string => $r->text('id'), $s['rows']), $sittings)), true));
        $paper = $handout->edition->paper();
        $items = $handout->edition->items();
        $offers = $points = [];
        foreach ($items as $entry => $item) {
            $offers[$entry] = $item->misconceptions();
            $points[$entry] = $item->points->toFloat();
        }
        $columns = $orders = [];
        $evidence = [];
        $students = [];
        $written = [];
        foreach ($sittings as $sitting) {
            $answers = array_map(static fn (Row $row): array => $given[$row->text('id')] ?? [], $sitting['rows']);
            $attempts = [];
            foreach ($sitting['rows'] as $i => $row) {
                // Most students are led the same way, so each way is read once.
                $order = $orders[$row->text('walk')] ??= self::order($paper, $row);
                $attempts[] = $this->attempt($paper, $order, $answers[$i]);
            }
            $shownRow = $sitting['rows'][count($sitting['rows']) - 1];
            $shown = [];
            $offered = [];
            foreach ($items as $entry => $item) {
                [$cell, $credit] = count($attempts) === 1 ? $attempts[0][$entry] ?? [Cell::NotGiven, null] : Cell::mean(array_map(static fn (array $cells): array => $cells[$entry] ?? [Cell::NotGiven, null], $attempts));
                // The latest attempt that has an answer says what the student thinks.
                $answer = null;
                foreach ($answers as $byEntry) {
                    $answer = $byEntry[$entry] ?? $answer;
                }
                $columns[$entry]['cells'][] = $cell;
                $columns[$entry]['credits'][] = $credit;
                $columns[$entry]['picks'][] = $answer['options'] ?? [];
                $columns[$entry]['seconds'][] = isset($answer['millis']) ? $answer['millis'] / 1000.0 : null;
                $columns[$entry]['sure'][] = $answer['confidence'] ?? null;
                if ($answer !== null && $answer['options'] === []) {
                    $written[$entry][] = [$answer['readAs'], $answer['verdict']];
                }
                if ($cell === Cell::Answered) {
                    foreach ($offers[$entry] as $id) {
                        $offered[$id] = ($offered[$id] ?? 0) + 1;
                        $shown[$id] = ($shown[$id] ?? 0) + (in_array($id, $answer['misconceptions'] ?? [], true) ? 1 : 0);
                    }
                }
            }
            $found = [];
            foreach ($offered as $id => $times) {
                $found[$id] = Evidence::of($shown[$id], $times);
            }
            $evidence[] = $found;
            $marks = array_map(static fn (Row $r): float => $r->float('marks'), $sitting['rows']);
            $worth = static fn (array $cells): float => array_sum(array_intersect_key($points, $cells));
            $of = array_sum(array_map($worth, $attempts)) / count($attempts);
            $waiting = array_sum(array_map(static fn (array $cells): float => $worth(array_filter($cells, static fn (array $c): bool => $c[0] === Cell::Waiting)), $attempts)) / count($attempts);
            $mark = array_sum($marks) / count($marks);
            $students[] = [
                'studentId' => $shownRow->text('student_id'),
                'sittingId' => $shownRow->text('id'),
                'name' => $shownRow->text('name'),
                'marks' => $mark,
                'of' => $of,
                'waiting' => $waiting,
                // What waits for a marker says nothing yet, neither for nor against the student.
                'share' => $of - $waiting > 0.0 ? $mark / ($of - $waiting) : null,
                'attempt' => $shownRow->int('attempt'),
                'others' => $sitting['others'],
                'averaged' => count($marks) > 1 ? $marks : [],
                'state' => $shownRow->text('state'),
            ];
        }
        $questions = [];
        foreach ($items as $entry => $item) {
            $options = [];
            foreach ($item->rule instanceof ChoiceRule ? $item->rule->options : [] as $option) {
                $options[$option->id] = $option->key;
            }
            $questions[] = new Question((string) $entry, $points[$entry], $options, $columns[$entry]['cells'] ?? [], $columns[$entry]['credits'] ?? [], $columns[$entry]['picks'] ?? [], $columns[$entry]['seconds'] ?? [], $item->confidence ? $columns[$entry]['sure'] ?? [] : []);
        }

        return new Counted($students, $questions, $evidence, $written, Report::of($questions, count($students), array_map(static fn (array $s): float => $s['marks'], $students)));
    }

    /**
     * What one attempt gave the student, by entry.
     *
     * @param list<string>                                               $order the entries it led to
     * @param array<string, array{credits: array<int, float|null>, ...}> $given
     *
     * @return array<string, array{Cell, float|null}>
     */
    private function attempt(Paper $paper, array $order, array $given): array
    {
        $attempt = [];
        foreach (Cell::ofOrder(array_map(static fn (string $e): bool => isset($given[$e]), $order)) as $i => $cell) {
            $credit = isset($given[$order[$i]]) ? self::best($paper, $given[$order[$i]]['credits']) : null;
            $attempt[$order[$i]] = match (true) {
                $cell === Cell::Omitted => [$cell, 0.0],
                $cell === Cell::Answered && $credit === null => [Cell::Waiting, null],
                default => [$cell, $credit],
            };
        }

        return $attempt;
    }

    /** @return list<string> the entries that a sitting's way led to, in the order shown */
    private static function order(Paper $paper, Row $sitting): array
    {
        /** @var array{visits: list<array{section: string, try: int, entries: list<string>}>, ended: bool} $stored written by ourselves */
        $stored = $sitting->json('walk');

        return array_values(array_unique(array_column(Walk::fromArray($stored)->steps($paper), 'entry')));
    }

    /**
     * The sittings that count of each student, by the handout's attempt rule; the marks of the others beside them.
     *
     * @return list<array{rows: non-empty-list<Row>, others: list<float>}>
     */
    private function countingSittings(Handout $handout): array
    {
        $attempts = [];
        foreach ($this->database->rows("SELECT s.id, s.student_id, s.attempt, s.walk, s.marks, s.state, st.name FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, st.id, s.attempt", ['id' => $handout->id]) as $row) {
            $attempts[$row->text('student_id')][$row->int('attempt')] = $row;
        }
        $counting = [];
        foreach ($attempts as $rows) {
            $chosen = $handout->conditions->counts->counting(array_map(static fn (Row $r): float => $r->float('marks'), $rows));
            $counting[] = [
                'rows' => array_map(static fn (int $attempt): Row => $rows[$attempt], $chosen),
                'others' => array_values(array_map(static fn (Row $r): float => $r->float('marks'), array_diff_key($rows, array_flip($chosen)))),
            ];
        }

        return $counting;
    }

    /**
     * @param array<string, true> $counting ids of the sittings that count
     *
     * @return array<string, array<string, array{credits: array<int, float|null>, options: list<string>, readAs: string, verdict: string, misconceptions: list<string>, millis: int|null, confidence: int|null}>> by sitting and entry
     */
    private function responses(string $handoutId, array $counting): array
    {
        $given = $numbers = [];
        // A row a sitting: thousands of rows take longer to fetch than the database takes to put them together.
        $rows = $this->database->rows("SELECT r.sitting_id, json_agg(json_build_array(r.entry, r.try, r.value -> 'options', r.read_as, r.verdict, r.misconceptions, coalesce(r.hand_credit, r.credit), r.millis, r.confidence) ORDER BY r.entry, r.try) AS answers
            FROM response r JOIN sitting s ON s.id = r.sitting_id WHERE s.handout_id = :id AND s.state <> 'open' AND (r.verdict <> 'none' OR r.hand_credit IS NOT NULL) GROUP BY r.sitting_id", ['id' => $handoutId]);
        foreach ($rows as $row) {
            $s = $row->text('sitting_id');
            if (!isset($counting[$s])) {
                continue;
            }
            /** @var list<array{string, int, list<string>|null, string, string, list<string>, string|null, int|null, int|null}> $answers as the query builds them */
            $answers = $row->json('answers');
            foreach ($answers as [$entry, $try, $options, $readAs, $verdict, $misconceptions, $credit, $millis, $confidence]) {
                // The first try says what a student thought; later ones only add to the credit.
                $given[$s][$entry] ??= ['credits' => [], 'options' => $options ?? [], 'readAs' => $readAs, 'verdict' => $verdict, 'misconceptions' => $misconceptions, 'millis' => $millis, 'confidence' => $confidence];
                $given[$s][$entry]['credits'][$try] = $credit === null ? null : $numbers[$credit] ??= BigRational::of($credit)->toFloat();
            }
        }

        return $given;
    }

    /** @param array<int, float|null> $credits by try */
    private static function best(Paper $paper, array $credits): ?float
    {
        $best = null;
        foreach ($credits as $try => $credit) {
            if ($credit !== null) {
                $best = max($best ?? 0.0, $credit * ($paper->mastery?->shareOfTry($try)->toFloat() ?? 1.0));
            }
        }

        return $best;
    }
}
