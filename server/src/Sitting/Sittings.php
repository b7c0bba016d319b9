<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\HintInput;
use ChalkLadder\Server\Sitting\Api\Input\ReplyInput;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\Input\StepInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\Api\View\AnswersSavedView;
use ChalkLadder\Server\Sitting\Api\View\KeptView;
use ChalkLadder\Server\Sitting\Api\View\OwnWorkView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Entity\LateResponse;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\Aside;
use ChalkLadder\Server\Sitting\ReadModel\ClassPicture;
use ChalkLadder\Server\Sitting\ReadModel\ClimbFacts;
use ChalkLadder\Server\Sitting\ReadModel\Corrected;
use ChalkLadder\Server\Sitting\ReadModel\Saving;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\Talk;
use ChalkLadder\Server\Sitting\ReadModel\WorkList;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Clock\ClockInterface;

/** A student at work. Every act may be repeated without harm, and nothing that was entered is ever dropped. */
final readonly class Sittings
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private Saving $saving,
        private Aside $aside,
        private Editions $editions,
        private Talk $talk,
        private ClassPicture $picture,
        private Helping $helping,
        private ClimbFacts $climbs,
        private Corrected $corrected,
        private WorkList $list,
        private Handouts $handouts,
        private Students $students,
        private Deadlines $deadlines,
        private SittingPage $page,
        private Turns $turns,
        private Files $files,
        private Push $push,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    public function work(StudentUser $who): OwnWorkView
    {
        $this->deadlines->keep();

        return new OwnWorkView($who->name, $this->list->own($who->id, $this->clock->now()));
    }

    /** Opens a new attempt, or goes on with the open one. */
    public function open(StudentUser $who, string $handoutId): SittingView
    {
        $this->deadlines->keep();
        $id = $this->transaction->run(function () use ($who, $handoutId): string {
            $this->list->hold($who->id, $handoutId);
            $handout = $this->handouts->givenTo($who->id, $handoutId);
            [$open, $attempts] = $this->list->attempts($who->id, $handoutId);
            if ($open !== null) {
                return $open;
            }
            $now = $this->clock->now();
            if ($handout->window->isClosedAt($now)) {
                throw Problem::conflict('This work is closed.', 'Ask your teacher if you still need to do it.');
            }
            if (!$handout->window->isOpenAt($now)) {
                throw Problem::conflict('This work is not open yet.', 'Come back when it opens.');
            }
            if ($attempts >= $handout->conditions->attempts) {
                throw Problem::conflict('You have used every attempt.', 'Your teacher can see what you handed in.');
            }
            $seed = bin2hex(random_bytes(8));
            $support = $this->students->supportOf($who->teamId, $who->id);
            $seconds = $handout->conditions->secondsFor($support);
            $sitting = new Sitting(
                $handout->teamId,
                $handoutId,
                $who->id,
                $attempts + 1,
                $seed,
                Walk::start($handout->edition->paper(), $handout->conditions, $seed),
                $now,
                $support->fewerOptions,
                $seconds === null ? null : $now->setTimestamp($now->getTimestamp() + $seconds + 60 * $handout->extraMinutes),
            );
            $this->sittings->add($sitting);

            return $sitting->id();
        });

        return $this->seen($who, $id);
    }

    public function show(StudentUser $who, string $id): SittingView
    {
        $this->deadlines->keep();
        $before = $this->reader->ofStudent($who->id, $id);
        if ($before->isTurnOver($this->clock->now())) {
            $this->transaction->run(fn () => $this->turns->end($this->held($who, $id), $this->reader->ofStudent($who->id, $id)));
        }
        $channel = Push::students($before->handoutId);
        $live = $this->push->last($channel);
        // Read anew, so that it holds what that message told.
        $this->reader->forget($who->id, $id);

        return $this->seen($who, $id, $live);
    }

    public function save(StudentUser $who, string $id, SavesInput $input): AnswersSavedView
    {
        $this->refuseFilesOfOthers($id, $input);
        $kept = $this->saveAtOnce($who, $id, $input);
        if ($kept !== null) {
            return new AnswersSavedView($kept, SittingState::Open->value, Moment::iso($this->clock->now()));
        }
        $this->reader->forget($who->id, $id);
        $this->deadlines->keep();

        return $this->transaction->run(function () use ($who, $id, $input): AnswersSavedView {
            $entity = $this->held($who, $id);
            $sitting = $this->turns->end($entity, $this->reader->ofStudent($who->id, $id));
            $kept = array_map(
                fn (SaveInput $save): KeptView => new KeptView(
                    $save->entry,
                    $save->try,
                    $save->counter,
                    $this->keep($entity, $sitting, $save),
                ),
                $input->saves,
            );
            if ($sitting->state === SittingState::Open) {
                if ($sitting->edition->looksBack()) {
                    $this->refreshOutcomes($entity, $sitting);
                }
                $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : null;
                $entity->standAt($at);
                $this->turns->begin($entity, $sitting, $at);
            }

            return new AnswersSavedView($kept, $sitting->state->value, Moment::iso($this->clock->now()));
        });
    }

    /** Settles one answer, so that the student can be told at once how it stands. */
    public function settle(StudentUser $who, string $id, StepInput $step): SittingView
    {
        $now = $this->clock->now();

        return $this->change($who, $id, function (Sitting $entity, StoredSitting $sitting) use ($step, $now): void {
            if (!$sitting->conditions->settles()) {
                throw Problem::conflict('Answers are not settled one by one here.', 'Go on; your answers are kept.');
            }
            // Whose time is over leaves it as it is.
            if (!$this->turns->isDone($sitting, $step->entry)) {
                $this->refuseWithoutWorking($sitting, $step->entry);
            }
            $leaves = $sitting->conditions->inOrder && $sitting->own($step->entry, $step->try) !== null;
            $entity->settle($step->entry, $step->try, $leaves ? $now : null);
        });
    }

    /** Opens one more step of help; asked twice for the same one, it opens it once. */
    public function hint(StudentUser $who, string $id, HintInput $step): SittingView
    {
        return $this->change($who, $id, fn (Sitting $entity, StoredSitting $sitting) => $entity->openHint(
            $step->entry,
            $step->try,
            min($step->nth, count($sitting->own($step->entry, $step->try)->item->hints ?? [])),
            $this->clock->now(),
        ));
    }

    /** Leaves the open pass: missed questions come back, or the route leads on. */
    public function goOn(StudentUser $who, string $id, VisitInput $input): SittingView
    {
        return $this->change($who, $id, function (Sitting $entity, StoredSitting $sitting) use ($input): void {
            if (count($sitting->walk->visits) === $input->visit && !$sitting->walk->ended) {
                $this->refuseWithoutWorking($sitting);
                $outcomes = Answer::outcomes($this->reader->answers($sitting));
                $entity->goOn($sitting->walk->leave(
                    $sitting->edition->paper(),
                    $sitting->conditions,
                    $sitting->seed,
                    $outcomes,
                    $sitting->edition->machineMarked(),
                ));
            }
        });
    }

    public function handIn(StudentUser $who, string $id, VisitInput $input): SittingView
    {
        return $this->change($who, $id, function (Sitting $entity, StoredSitting $sitting) use ($input): void {
            $more = $sitting->walk->mayGoOn($sitting->edition->paper(), $sitting->edition->machineMarked());
            if (!$sitting->walk->ended && ($more || count($sitting->walk->visits) !== $input->visit)) {
                throw Problem::conflict('There is more to do.', 'Go on to the next part first.');
            }
            $this->refuseWithoutWorking($sitting);
            $entity->handIn(Sitting::BY_STUDENT, self::score($sitting, $this->reader->answers($sitting)), $this->clock->now());
        });
    }

    /** One reply to returned work. */
    public function reply(StudentUser $who, string $id, ReplyInput $input): SittingView
    {
        $this->transaction->run(fn () => $this->held($who, $id)->replyWith(trim($input->text), $this->clock->now()));

        return $this->seen($who, $id);
    }

    /** @param list<Answer> $answers */
    public static function score(StoredSitting $sitting, array $answers): Score
    {
        return Score::of($sitting->edition->paper(), $sitting->walk, Answer::credits($answers, $sitting->edition), $sitting->markStep);
    }

    /**
     * The usual case, one writing: every answer belongs to the pass that is open, and the sitting is still as it is
     * remembered. Null when it is not the usual case, and nothing has been written.
     *
     * @return list<KeptView>|null
     */
    private function saveAtOnce(StudentUser $who, string $id, SavesInput $input): ?array
    {
        $sitting = $this->reader->remembered($who->id, $id);
        if ($sitting->state !== SittingState::Open || $sitting->edition->looksBack() || $this->turns->turns($sitting, $input->at)) {
            return null;
        }
        $answers = [];
        foreach ($input->saves as $save) {
            $answer = self::answer($sitting, $save);
            if ($answer === null || !$sitting->walk->isOpen($save->entry, $save->try) || isset($answers[$save->entry])) {
                return null;
            }
            $answers[$save->entry] = [$answer, $save->clientId];
        }
        $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : null;
        $written = $this->saving->all($sitting, array_values($answers), $at, $this->clock->now());
        if ($written === null) {
            return null;
        }
        $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));

        return array_map(
            static fn (SaveInput $s): KeptView => new KeptView(
                $s->entry,
                $s->try,
                $s->counter,
                in_array($s->entry, $written, true) ? 'kept' : 'older',
            ),
            $input->saves,
        );
    }

    /**
     * Where working is wanted, what has an answer and none is not left by its student. A closing time takes it in as it is.
     *
     * @param string|null $entry one question alone; null for all of the open pass
     */
    private function refuseWithoutWorking(StoredSitting $sitting, ?string $entry = null): void
    {
        if (!$sitting->conditions->needsWorking) {
            return;
        }
        $numbers = $sitting->walk->numbers($sitting->edition->paper());
        $missing = [];
        foreach ($this->reader->answers($sitting) as $answer) {
            $asks = $sitting->own($answer->entry, $answer->try)->item->working ?? false;
            $isMeant = $sitting->walk->isOpen($answer->entry, $answer->try) && in_array($entry, [null, $answer->entry], true);
            if ($asks && $isMeant && !$answer->response->isBlank() && ($answer->working?->isBlank() ?? true)) {
                $missing[] = $numbers[$answer->entry] ?? 0;
            }
        }
        if ($missing !== []) {
            sort($missing);
            throw Problem::conflict(
                'Your working is still missing at question '.implode(', ', array_unique($missing)).'.',
                'Draw it or take a photo of it, below your answer.',
            );
        }
    }

    /** A file that is named in an answer was sent in this sitting. */
    private function refuseFilesOfOthers(string $id, SavesInput $input): void
    {
        foreach ($input->saves as $i => $save) {
            $files = [];
            foreach ([$save->value, $save->working] as $part) {
                array_push($files, ...($part instanceof HoldsFiles ? $part->files() : []));
            }
            if ($files !== [] && !$this->files->areOf($id, $files)) {
                throw Problem::invalid(["saves.$i.value.files" => 'A file of this answer was not sent here.']);
            }
        }
    }

    /** The answer as it is to be stored; null when the paper has no such question. */
    private static function answer(StoredSitting $sitting, SaveInput $save): ?Answer
    {
        $own = $sitting->own($save->entry, $save->try);
        if ($own === null) {
            return null;
        }
        $value = $sitting->veil($save->entry)->uncover($own->item->rule, $save->value);

        return new Answer(
            $save->entry,
            $save->try,
            $value,
            $save->counter,
            false,
            $own->check($value),
            millis: $save->millis,
            confidence: $save->confidence,
            working: $own->item->working ? $save->working : null,
        );
    }

    private function keep(Sitting $entity, StoredSitting $sitting, SaveInput $save): string
    {
        $answer = self::answer($sitting, $save);
        if ($answer === null) {
            return $this->keepAside($sitting, $save) ? 'aside' : 'unknown';
        }
        $isOpen = $sitting->state === SittingState::Open && $sitting->walk->isOpen($save->entry, $save->try);
        if ($isOpen && $this->saving->one($sitting->id, $answer, $save->clientId, $this->clock->now())) {
            return 'kept';
        }
        // Who left it for good has said so; whom time has taken from it may have been typing.
        $wasLeft = $isOpen && $sitting->conditions->secondsEach === null;
        if ($wasLeft || ($this->reader->counter($sitting->id, $save->entry, $save->try) ?? -1) >= $save->counter) {
            return 'older';
        }
        $entity->keepLate(new LateResponse($entity, $save->entry, $save->try, $save->counter, $answer->response, $this->clock->now()));

        return $isOpen ? 'older' : 'closed';
    }

    /** What was typed while the question was taken out of the paper is kept with the other answers to it. */
    private function keepAside(StoredSitting $sitting, SaveInput $save): bool
    {
        $asking = $this->editions->asking($sitting->edition->paperId, $save->entry);
        $answer = $asking === null ? null : self::answer($sitting->onto($asking, $sitting->walk), $save);
        if ($asking === null || $answer === null) {
            return false;
        }
        $this->saving->one($sitting->id, $answer, $save->clientId, $this->clock->now());
        $this->aside->move($sitting->handoutId, $asking->id, array_keys($sitting->edition->itemIds));

        return true;
    }

    /** Brings stored outcomes in line where checks look back at answers that have changed. */
    private function refreshOutcomes(Sitting $entity, StoredSitting $sitting): void
    {
        foreach ($this->reader->answers($sitting) as $answer) {
            if ($sitting->own($answer->entry, $answer->try)?->item->looksBackTo() !== []) {
                $entity->replaceOutcome($answer->entry, $answer->try, $answer->outcome);
            }
        }
    }

    /** @param \Closure(Sitting, StoredSitting): mixed $act is done while the sitting is open; afterwards it changes nothing */
    private function change(StudentUser $who, string $id, \Closure $act): SittingView
    {
        $this->deadlines->keep();
        $this->transaction->run(function () use ($who, $id, $act): void {
            $entity = $this->held($who, $id);
            $sitting = $this->turns->end($entity, $this->reader->ofStudent($who->id, $id));
            if ($sitting->state === SittingState::Open) {
                if ($sitting->hold !== null) {
                    throw Problem::conflict('Your teacher has asked you to stop.', 'Look up; you can go on in a moment.');
                }
                $act($entity, $sitting);
            }
        });

        return $this->seen($who, $id);
    }

    private function held(StudentUser $who, string $id): Sitting
    {
        return $this->sittings->ofStudentLocked($who, $id);
    }

    private function seen(StudentUser $who, string $id, int $live = 0): SittingView
    {
        $sitting = $this->reader->ofStudent($who->id, $id);

        $working = $sitting->state === SittingState::Open;

        return $this->page->draw(
            $who->teamId,
            $sitting,
            $this->reader->answers($sitting),
            $live,
            $working ? $this->talk->call($id) : null,
            $working ? $this->talk->notes($id) : [],
            $sitting->tells(Told::ClassPicture) ? $this->picture->of($sitting->handoutId) : [],
            $this->helping->seen($who->teamId, $sitting),
            $working ? $this->climbs->teamOf($sitting->handoutId, $who->id) : null,
            $this->corrected->of($id),
        );
    }
}
