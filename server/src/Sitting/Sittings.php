<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\HandoutClosing;
use ChalkLadder\Server\Identity\StudentUser;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/** A student at work. Every act may be repeated without harm, and nothing that was entered is ever dropped. */
final readonly class Sittings
{
    public function __construct(
        private Database $database,
        private SittingStore $store,
        private Editions $editions,
        private Picture $picture,
        private Push $push,
        private EventDispatcherInterface $events,
    ) {
    }

    public function work(StudentUser $who): WorkView
    {
        $rows = $this->database->rows('SELECT h.id, h.title, h.conditions, h.opens_at, h.closes_at, h.closed_at, s.id AS sitting_id, s.state, coalesce(s.attempt, 0) AS attempt
            FROM handout_student hs JOIN handout h ON h.id = hs.handout_id AND h.visible
            LEFT JOIN LATERAL (SELECT id, state, attempt FROM sitting WHERE handout_id = h.id AND student_id = hs.student_id ORDER BY attempt DESC LIMIT 1) s ON true
            WHERE hs.student_id = :who ORDER BY coalesce(h.opens_at, h.made_at) DESC, h.id LIMIT 200', ['who' => $who->id]);
        $now = new \DateTimeImmutable($this->database->now());

        return new WorkView($who->name, array_map(static function (Row $r) use ($now): WorkRowView {
            $conditions = Conditions::fromArray($r->json('conditions'));
            $closed = $r->textOrNull('closed_at') !== null || ($r->textOrNull('closes_at') !== null && new \DateTimeImmutable($r->text('closes_at')) <= $now);
            $early = $r->textOrNull('opens_at') !== null && new \DateTimeImmutable($r->text('opens_at')) > $now;
            $state = $r->textOrNull('state');

            return new WorkRowView(
                $r->text('id'),
                $r->text('title'),
                match (true) {
                    $state === 'open' => 'open',
                    $state === 'returned' => 'returned',
                    $state !== null => 'handed in',
                    $closed => 'missed',
                    $early => 'scheduled',
                    default => 'due',
                },
                $r->textOrNull('sitting_id'),
                $r->timeOrNull('opens_at'),
                $r->timeOrNull('closes_at'),
                $r->int('attempt'),
                $conditions->attempts,
                !$closed && !$early && ($state === 'open' || $r->int('attempt') < $conditions->attempts),
            );
        }, $rows));
    }

    /** Opens a new attempt, or goes on with the open one. */
    public function open(StudentUser $who, string $handoutId): SittingView
    {
        $id = $this->database->together(function () use ($who, $handoutId): string {
            $row = $this->database->row('SELECT h.edition_id, h.conditions, h.opens_at, h.closes_at, h.closed_at, (SELECT id FROM sitting s WHERE s.handout_id = h.id AND s.student_id = hs.student_id AND s.state = \'open\') AS open_id, (SELECT coalesce(max(attempt), 0) FROM sitting s WHERE s.handout_id = h.id AND s.student_id = hs.student_id) AS attempts FROM handout_student hs JOIN handout h ON h.id = hs.handout_id AND h.visible WHERE hs.handout_id = :id AND hs.student_id = :who FOR UPDATE OF hs', ['id' => $handoutId, 'who' => $who->id]) ?? throw Problem::notFound('This work');
            $open = $row->textOrNull('open_id');
            if ($open !== null) {
                return $open;
            }
            $now = new \DateTimeImmutable($this->database->now());
            if ($row->textOrNull('closed_at') !== null || ($row->textOrNull('closes_at') !== null && new \DateTimeImmutable($row->text('closes_at')) <= $now)) {
                throw Problem::conflict('This work is closed.', 'Ask your teacher if you still need to do it.');
            }
            if ($row->textOrNull('opens_at') !== null && new \DateTimeImmutable($row->text('opens_at')) > $now) {
                throw Problem::conflict('This work is not open yet.', 'Come back when it opens.');
            }
            $conditions = Conditions::fromArray($row->json('conditions'));
            $attempt = $row->int('attempts') + 1;
            if ($attempt > $conditions->attempts) {
                throw Problem::conflict('You have used every attempt.', 'Your teacher can see what you handed in.');
            }
            $edition = $this->editions->load($row->text('edition_id'));
            $id = $this->database->newId();
            $seed = bin2hex(random_bytes(8));
            $walk = Walk::start($edition->paper(), $conditions, $seed);
            $this->database->insert('sitting', ['id' => $id, 'handout_id' => $handoutId, 'student_id' => $who->id, 'attempt' => $attempt, 'state' => 'open', 'seed' => $seed, 'walk' => Json::encode($walk->toArray()), 'at_entry' => $walk->current()->entries[0] ?? null, 'opened_at' => $this->database->now()]);
            $this->events->dispatch(new SittingChanged($handoutId, $id));

            return $id;
        });

        return $this->show($who, $id);
    }

    public function show(StudentUser $who, string $id): SittingView
    {
        $sitting = $this->store->ofStudent($who->id, $id);

        return $this->view($sitting, $this->store->answers($sitting));
    }

    public function save(StudentUser $who, string $id, SavesInput $input): SavedView
    {
        $kept = $this->saveAtOnce($who, $id, $input);
        if ($kept !== null) {
            return new SavedView($kept, SittingState::Open->value, $this->database->now());
        }
        $this->store->forget($who->id, $id);

        return $this->database->together(function () use ($who, $id, $input): SavedView {
            $sitting = $this->store->ofStudent($who->id, $id, true);
            $kept = [];
            foreach ($input->saves as $save) {
                $kept[] = new KeptView($save->entry, $save->try, $save->counter, $this->keep($sitting, $save));
            }
            if ($sitting->state === SittingState::Open) {
                if ($sitting->edition->looksBack()) {
                    $this->store->refreshOutcomes($sitting);
                }
                $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : $sitting->at;
                $this->database->run('UPDATE sitting SET at_entry = :at, version = version + 1 WHERE id = :id', ['at' => $at, 'id' => $id]);
                $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));
            }

            return new SavedView($kept, $sitting->state->value, $this->database->now());
        });
    }

    /** Settles one answer, so that the student can be told at once how it stands. */
    public function settle(StudentUser $who, string $id, StepInput $step): SittingView
    {
        return $this->change($who, $id, function (StoredSitting $sitting) use ($step): StoredSitting {
            if (!$sitting->conditions->feedback->tellsAtOnce()) {
                throw Problem::conflict('Answers are not settled one by one here.', 'Go on; your answers are kept.');
            }
            if ($sitting->walk->isOpen($step->entry, $step->try)) {
                $this->database->run('UPDATE response SET settled = true WHERE sitting_id = :id AND entry = :entry AND try = :try', ['id' => $sitting->id, 'entry' => $step->entry, 'try' => $step->try]);
            }

            return $sitting;
        });
    }

    public function hint(StudentUser $who, string $id, StepInput $step): SittingView
    {
        return $this->change($who, $id, function (StoredSitting $sitting) use ($step): StoredSitting {
            if ($sitting->walk->isOpen($step->entry, $step->try)) {
                $this->database->run("INSERT INTO response (sitting_id, entry, try, value, counter, client_id, saved_at, hint_opened, credit, verdict) VALUES (:id, :entry, :try, '{\"text\": \"\"}', 0, 'hint', :at, true, '0', 'none') ON CONFLICT (sitting_id, entry, try) DO UPDATE SET hint_opened = true", ['id' => $sitting->id, 'entry' => $step->entry, 'try' => $step->try, 'at' => $this->database->now()]);
            }

            return $sitting;
        });
    }

    /** Leaves the open pass: missed questions come back, or the route leads on. */
    public function goOn(StudentUser $who, string $id, VisitInput $input): SittingView
    {
        return $this->change($who, $id, function (StoredSitting $sitting) use ($input): StoredSitting {
            if (count($sitting->walk->visits) !== $input->visit || $sitting->walk->ended) {
                return $sitting;
            }
            $answers = $this->store->answers($sitting);
            $walk = $sitting->walk->leave($sitting->edition->paper(), $sitting->conditions, $sitting->seed, self::outcomes($answers), $sitting->edition->machineMarked());
            $this->database->run('UPDATE response SET settled = true WHERE sitting_id = :id', ['id' => $sitting->id]);
            $now = $walk->current();
            $this->database->run('UPDATE sitting SET walk = :walk, at_entry = :at, version = version + 1 WHERE id = :id', ['walk' => Json::encode($walk->toArray()), 'at' => $now->entries[0] ?? $sitting->at, 'id' => $sitting->id]);

            return $this->store->ofStudent($sitting->studentId, $sitting->id);
        });
    }

    public function handIn(StudentUser $who, string $id, VisitInput $input): SittingView
    {
        return $this->change($who, $id, function (StoredSitting $sitting) use ($input): StoredSitting {
            if (!$sitting->walk->ended && (count($sitting->walk->visits) !== $input->visit || $sitting->walk->mayGoOn($sitting->edition->paper(), $sitting->edition->machineMarked()))) {
                throw Problem::conflict('There is more to do.', 'Go on to the next part first.');
            }
            $this->finish($sitting, 'student');

            return $this->store->ofStudent($sitting->studentId, $sitting->id);
        });
    }

    /** One reply to returned work. */
    public function reply(StudentUser $who, string $id, ReplyInput $input): SittingView
    {
        $this->database->together(function () use ($who, $id, $input): void {
            $sitting = $this->store->ofStudent($who->id, $id, true);
            if ($sitting->state !== SittingState::Returned) {
                throw Problem::conflict('This work has not been returned.', 'You can reply once it is back.');
            }
            if ($sitting->reply !== null) {
                throw Problem::conflict('You have replied already.', 'One reply is kept for each piece of work.');
            }
            $this->database->run('UPDATE sitting SET reply = :text, replied_at = :at WHERE id = :id', ['text' => trim($input->text), 'at' => $this->database->now(), 'id' => $id]);
        });

        return $this->show($who, $id);
    }

    #[AsEventListener]
    public function onClosing(HandoutClosing $event): void
    {
        foreach ($this->store->openOf($event->handoutId) as $sitting) {
            $this->finish($sitting, 'close');
            $this->events->dispatch(new SittingChanged($sitting->handoutId, $sitting->id));
        }
        $this->push->send(Push::students($event->handoutId), ['kind' => 'closed']);
    }

    /**
     * @param list<Answer> $answers
     *
     * @return array<string, array<int, Outcome>>
     */
    public static function outcomes(array $answers): array
    {
        $outcomes = [];
        foreach ($answers as $answer) {
            $outcomes[$answer->entry][$answer->try] = $answer->outcome;
        }

        return $outcomes;
    }

    /**
     * The usual case, one writing: every answer belongs to the pass that is open, and the sitting is still as it is
     * remembered. Null when it is not the usual case, and nothing has been written.
     *
     * @return list<KeptView>|null
     */
    private function saveAtOnce(StudentUser $who, string $id, SavesInput $input): ?array
    {
        $sitting = $this->store->remembered($who->id, $id);
        if ($sitting->state !== SittingState::Open || $sitting->edition->looksBack()) {
            return null;
        }
        $answers = [];
        foreach ($input->saves as $save) {
            $own = $sitting->own($save->entry);
            if ($own === null || !$sitting->walk->isOpen($save->entry, $save->try) || isset($answers[$save->entry])) {
                return null;
            }
            $answers[$save->entry] = [new Answer($save->entry, $save->try, $save->value, $save->counter, false, $own->check($save->value), millis: $save->millis, confidence: $save->confidence), $save->clientId];
        }
        $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : null;
        $written = $this->store->writeAll($sitting, array_values($answers), $at);
        if ($written === null) {
            return null;
        }
        $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));

        return array_map(static fn (SaveInput $s): KeptView => new KeptView($s->entry, $s->try, $s->counter, in_array($s->entry, $written, true) ? 'kept' : 'older'), $input->saves);
    }

    private function keep(StoredSitting $sitting, SaveInput $save): string
    {
        $own = $sitting->own($save->entry);
        if ($own === null) {
            return 'unknown';
        }
        $answer = new Answer($save->entry, $save->try, $save->value, $save->counter, false, $own->check($save->value), millis: $save->millis, confidence: $save->confidence);
        if ($sitting->state === SittingState::Open && $sitting->walk->isOpen($save->entry, $save->try)) {
            return $this->store->write($sitting->id, $answer, $save->clientId) ? 'kept' : 'older';
        }
        $same = $this->database->row('SELECT counter FROM response WHERE sitting_id = :id AND entry = :entry AND try = :try', ['id' => $sitting->id, 'entry' => $save->entry, 'try' => $save->try]);
        if ($same !== null && $same->int('counter') >= $save->counter) {
            return 'older';
        }
        // Too late to count, but not to be lost: the teacher can see it beside the work.
        $this->database->run('INSERT INTO late_response (sitting_id, entry, try, value, counter, received_at) VALUES (:id, :entry, :try, :value, :counter, :at) ON CONFLICT DO NOTHING', ['id' => $sitting->id, 'entry' => $save->entry, 'try' => $save->try, 'value' => Json::encode($save->value->toArray()), 'counter' => $save->counter, 'at' => $this->database->now()]);

        return 'closed';
    }

    /** @param \Closure(StoredSitting): StoredSitting $act */
    private function change(StudentUser $who, string $id, \Closure $act): SittingView
    {
        return $this->database->together(function () use ($who, $id, $act): SittingView {
            $sitting = $this->store->ofStudent($who->id, $id, true);
            if ($sitting->state === SittingState::Open) {
                $sitting = $act($sitting);
                $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));
            }

            return $this->view($sitting, $this->store->answers($sitting));
        });
    }

    private function finish(StoredSitting $sitting, string $by): void
    {
        $this->database->run("UPDATE sitting SET state = 'handed in', handed_in_at = :at, handed_in_by = :by WHERE id = :id", ['at' => $this->database->now(), 'by' => $by, 'id' => $sitting->id]);
        $this->database->run('UPDATE response SET settled = true WHERE sitting_id = :id', ['id' => $sitting->id]);
        $this->store->settleMarks($sitting, SittingState::HandedIn);
    }

    /** @param list<Answer> $answers */
    private function view(StoredSitting $sitting, array $answers): SittingView
    {
        return $this->picture->draw($sitting->edition, $sitting->conditions, $sitting->seed, $sitting->walk, $sitting->state, $answers, $sitting);
    }
}
