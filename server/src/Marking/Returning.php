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
            $picked = $input->students === null ? '' : ' AND s.student_id::text IN (:students)';
            $parameters = ['handout' => $handoutId] + ($input->students === null ? [] : ['students' => $input->students === [] ? [''] : $input->students]);
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
                $this->trail->note($who, 'return', 'handout', $handoutId, ['students' => count($ready)]);
            }

            return new ReturnedView(count($ready), array_values(array_unique(array_map(static fn (Row $r): string => $r->text('name'), $waiting))));
        });
    }

    /** Takes returned work back, unless the student has replied to it. */
    public function takeBack(StaffUser $who, string $handoutId): ReturnedView
    {
        $this->handouts->find($who->teamId, $handoutId);
        $count = $this->database->run("UPDATE sitting SET state = 'marked', returned_at = NULL, version = version + 1 WHERE handout_id = :id AND state = 'returned' AND reply IS NULL", ['id' => $handoutId]);
        $this->push->send(Push::students($handoutId), ['kind' => 'returned']);
        $this->trail->note($who, 'take back', 'handout', $handoutId, ['students' => $count]);

        return new ReturnedView($count, []);
    }

    public function outbox(string $teamId): OutboxView
    {
        $rows = $this->database->rows('SELECT o.id, st.name, o.subject, o.body, s.name AS sender, o.sent_at FROM outbox o JOIN staff s ON s.id = o.sent_by LEFT JOIN student st ON st.id = o.student_id WHERE o.team_id = :team ORDER BY o.sent_at DESC, st.name LIMIT 200', ['team' => $teamId]);

        return new OutboxView(array_map(static fn (Row $r): OutboxLineView => new OutboxLineView($r->text('id'), $r->textOrNull('name') ?? '', $r->text('subject'), $r->text('body'), $r->text('sender'), $r->time('sent_at')), $rows));
    }
}
