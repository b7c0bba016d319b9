<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Row;
use ChalkLadder\Server\Platform\Storage\Trail;
use ChalkLadder\Server\Sitting\SittingChanged;
use Psr\EventDispatcher\EventDispatcherInterface;

/** Gives marks and feedback back to students, with a message; the outbox keeps what would have been sent. */
final readonly class Returning
{
    public function __construct(
        private Database $database,
        private Handouts $handouts,
        private Push $push,
        private Trail $trail,
        private EventDispatcherInterface $events,
    ) {
    }

    public function return(StaffUser $who, string $handoutId, ReturnInput $input): ReturnedView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);

        return $this->database->together(function () use ($who, $handoutId, $handout, $input): ReturnedView {
            [$picked, $parameters] = self::picked($handoutId, $input->students);
            $rows = $this->database->rows("SELECT s.id, s.student_id, s.state, st.name FROM sitting s JOIN student st ON st.id = s.student_id WHERE s.handout_id = :handout AND s.state IN ('handed in', 'marked')$picked ORDER BY st.name_folded FOR UPDATE OF s", $parameters);
            $ready = array_values(array_filter($rows, static fn (Row $r): bool => $r->text('state') === 'marked'));
            $waiting = array_values(array_filter($rows, static fn (Row $r): bool => $r->text('state') !== 'marked'));
            $message = trim($input->message);
            $mail = [];
            foreach ($ready as $row) {
                $mail[] = [$this->database->newId(), $who->teamId, $row->text('student_id'), $handoutId, $handout->title.' is back', $message === '' ? 'Your work has been marked.' : $message, $who->id, $this->database->now()];
                $this->events->dispatch(new SittingChanged($handoutId, $row->text('id')));
            }
            if ($ready !== []) {
                $this->database->run("UPDATE sitting SET state = 'returned', returned_at = :at, message = :message, version = version + 1 WHERE id::text IN (:ids)", ['at' => $this->database->now(), 'message' => $message, 'ids' => array_map(static fn (Row $r): string => $r->text('id'), $ready)]);
                $this->database->insertAll('outbox', ['id', 'team_id', 'student_id', 'handout_id', 'subject', 'body', 'sent_by', 'sent_at'], $mail);
                $this->push->send(Push::students($handoutId), ['kind' => 'returned']);
                $this->trail->note($who, 'return', 'handout', $handoutId, ['students' => count(self::students($ready))]);
            }

            return new ReturnedView(self::students($ready), array_values(array_unique(array_map(static fn (Row $r): string => $r->text('name'), $waiting))));
        });
    }

    /** @return list<ReadyView> handouts with marked work, those with some to return first */
    public function handouts(string $teamId): array
    {
        $rows = $this->database->rows("SELECT h.id, h.title, g.name AS group_name, s.ready, s.waiting, s.returned, (SELECT coalesce(json_agg(c.name ORDER BY c.name), '[]') FROM handout_class hc JOIN class c ON c.id = hc.class_id WHERE hc.handout_id = h.id) AS classes
            FROM handout h JOIN LATERAL (SELECT count(DISTINCT student_id) FILTER (WHERE state = 'marked') AS ready, count(DISTINCT student_id) FILTER (WHERE state = 'handed in') AS waiting, count(DISTINCT student_id) FILTER (WHERE state = 'returned') AS returned FROM sitting WHERE handout_id = h.id) s ON true LEFT JOIN grouping_group g ON g.id = h.group_id
            WHERE h.team_id = :team AND s.ready + s.returned > 0 ORDER BY s.ready > 0 DESC, h.made_at DESC LIMIT 100", ['team' => $teamId]);

        return array_map(static fn (Row $r): ReadyView => new ReadyView($r->text('id'), $r->text('title'), $r->names('classes'), $r->textOrNull('group_name'), $r->int('ready'), $r->int('waiting'), $r->int('returned')), $rows);
    }

    /** What may go back, what waits and what is back, student by student. */
    public function state(string $teamId, string $handoutId): ReturnStateView
    {
        $this->handouts->find($teamId, $handoutId);
        $rows = $this->database->rows("SELECT st.id, st.name, count(*) FILTER (WHERE s.state = 'open') AS open, count(*) FILTER (WHERE s.state = 'marked') AS ready,
                coalesce(sum(w.waiting) FILTER (WHERE s.state = 'handed in'), 0) AS waiting, count(*) FILTER (WHERE s.state = 'returned') AS returned, max(s.returned_at) AS returned_at, bool_or(s.reply IS NOT NULL) AS replied
            FROM sitting s JOIN student st ON st.id = s.student_id
            LEFT JOIN LATERAL (SELECT count(*) AS waiting FROM response r WHERE r.sitting_id = s.id AND r.verdict = 'by hand' AND r.hand_credit IS NULL) w ON true
            WHERE s.handout_id = :handout GROUP BY st.id ORDER BY st.name_folded, st.id", ['handout' => $handoutId]);

        return new ReturnStateView(array_map(static fn (Row $r): ReturnLineView => new ReturnLineView($r->text('id'), $r->text('name'), $r->int('open'), $r->int('ready'), $r->int('waiting'), $r->int('returned'), $r->timeOrNull('returned_at'), $r->bool('replied')), $rows));
    }

    /** Takes returned work back, unless the student has replied to it. */
    public function takeBack(StaffUser $who, string $handoutId, TakeBackInput $input): ReturnedView
    {
        $this->handouts->find($who->teamId, $handoutId);

        return $this->database->together(function () use ($who, $handoutId, $input): ReturnedView {
            [$picked, $parameters] = self::picked($handoutId, $input->students);
            $rows = $this->database->rows("SELECT s.id, s.student_id FROM sitting s WHERE s.handout_id = :handout AND s.state = 'returned' AND s.reply IS NULL$picked FOR UPDATE", $parameters);
            if ($rows !== []) {
                $this->database->run("UPDATE sitting SET state = 'marked', returned_at = NULL, version = version + 1 WHERE id::text IN (:ids)", ['ids' => array_map(static fn (Row $r): string => $r->text('id'), $rows)]);
                foreach ($rows as $row) {
                    $this->events->dispatch(new SittingChanged($handoutId, $row->text('id')));
                }
                $this->push->send(Push::students($handoutId), ['kind' => 'returned']);
                $this->trail->note($who, 'take back', 'handout', $handoutId, ['students' => count(self::students($rows))]);
            }

            return new ReturnedView(self::students($rows), []);
        });
    }

    public function outbox(string $teamId): OutboxView
    {
        $rows = $this->database->rows('SELECT o.id, st.name, o.subject, o.body, s.name AS sender, o.sent_at FROM outbox o JOIN staff s ON s.id = o.sent_by LEFT JOIN student st ON st.id = o.student_id WHERE o.team_id = :team ORDER BY o.sent_at DESC, st.name LIMIT 200', ['team' => $teamId]);

        return new OutboxView(array_map(static fn (Row $r): OutboxLineView => new OutboxLineView($r->text('id'), $r->textOrNull('name') ?? '', $r->text('subject'), $r->text('body'), $r->text('sender'), $r->time('sent_at')), $rows));
    }

    /**
     * @param list<string>|null $students ids; null for all
     *
     * @return array{string, array<string, mixed>} a condition on the sitting `s`, and the parameters of the whole
     */
    private static function picked(string $handoutId, ?array $students): array
    {
        return $students === null
            ? ['', ['handout' => $handoutId]]
            : [' AND s.student_id::text IN (:students)', ['handout' => $handoutId, 'students' => $students === [] ? [''] : $students]];
    }

    /**
     * @param list<Row> $sittings
     *
     * @return list<string> ids of their students, each once
     */
    private static function students(array $sittings): array
    {
        return array_values(array_unique(array_map(static fn (Row $r): string => $r->text('student_id'), $sittings)));
    }
}
