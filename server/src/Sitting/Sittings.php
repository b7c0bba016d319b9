<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\HintInput;
use ChalkLadder\Server\Sitting\Api\Input\ReplyInput;
use ChalkLadder\Server\Sitting\Api\Input\StepInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\Api\View\OwnWorkView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\ClassPicture;
use ChalkLadder\Server\Sitting\ReadModel\ClimbFacts;
use ChalkLadder\Server\Sitting\ReadModel\Corrected;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\Talk;
use ChalkLadder\Server\Sitting\ReadModel\WorkList;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Symfony\Component\Clock\ClockInterface;

/** A student at work. Every act may be repeated without harm, and nothing that was entered is ever dropped. */
final readonly class Sittings
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
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
        private Push $push,
        private Transaction $transaction,
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
