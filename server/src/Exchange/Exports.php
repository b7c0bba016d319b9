<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

use ChalkLadder\Core\Exchange\Csv;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Lookout\Lookout;
use ChalkLadder\Server\Platform\Storage\Database;

/** Responses and marks as CSV. */
final readonly class Exports
{
    public function __construct(private Database $database, private Handouts $handouts)
    {
    }

    public function responses(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $numbers = $handout->edition->numbers();
        $table = [['student', 'attempt', 'question', 'title', 'try', 'response', 'verdict', 'credit', 'marked by', 'comment', 'saved at', 'seconds', 'confidence']];
        foreach ($this->database->rows("SELECT st.name, s.attempt, r.entry, r.try, r.value, r.verdict, coalesce(r.hand_credit, r.credit) AS credit, m.name AS marker, r.comment, r.saved_at, r.millis, r.confidence
            FROM response r JOIN sitting s ON s.id = r.sitting_id JOIN student st ON st.id = s.student_id LEFT JOIN staff m ON m.id = r.hand_by AND r.hand_credit IS NOT NULL
            WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, st.id, s.attempt, r.entry, r.try", ['id' => $handoutId]) as $row) {
            $item = $handout->edition->item($row->text('entry'));
            if ($item !== null) {
                $table[] = [$row->text('name'), $row->int('attempt'), $numbers[$row->text('entry')], $handout->edition->title($row->text('entry')), $row->int('try'), Lookout::given($item, Response::fromArray($row->json('value'))), $row->text('verdict'), $row->textOrNull('credit') ?? '', $row->textOrNull('marker') ?? 'machine', $row->text('comment'), $row->time('saved_at'), $row->intOrNull('millis') === null ? '' : sprintf('%.1f', $row->int('millis') / 1000), $row->intOrNull('confidence') ?? ''];
            }
        }

        return Csv::write($table);
    }

    public function marks(string $teamId, string $handoutId): string
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $table = [['student', 'attempt', 'state', 'marks', 'handed in at']];
        foreach ($this->database->rows("SELECT st.name, s.attempt, s.state, trim_scale(s.marks)::text AS marks, s.handed_in_at FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, st.id, s.attempt", ['id' => $handout->id]) as $row) {
            $table[] = [$row->text('name'), $row->int('attempt'), $row->text('state'), $row->text('marks'), $row->timeOrNull('handed_in_at') ?? ''];
        }

        return Csv::write($table);
    }
}
