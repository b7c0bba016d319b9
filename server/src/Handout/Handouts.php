<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Server\Handout\Api\Input\HandoutChangeInput;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Api\View\HandoutListView;
use ChalkLadder\Server\Handout\Api\View\HandoutView;
use ChalkLadder\Server\Handout\Entity\Handout;
use ChalkLadder\Server\Handout\ReadModel\HandoutList;
use ChalkLadder\Server\Handout\ReadModel\HandoutReader;
use ChalkLadder\Server\Handout\Repository\HandoutRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Roster\WelcomesMembers;
use Doctrine\DBAL\Exception\ForeignKeyConstraintViolationException;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** Papers given to classes and students under stated conditions. */
final readonly class Handouts implements WelcomesMembers
{
    public function __construct(
        private HandoutRepository $handouts,
        private HandoutReader $reader,
        private HandoutList $list,
        private Deadlines $deadlines,
        private HandsInWork $work,
        private ProgressOfWork $progress,
        private Editions $editions,
        private Students $students,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function list(string $teamId): HandoutListView
    {
        $this->deadlines->keep();

        return new HandoutListView($this->list->all($teamId, $this->clock->now()));
    }

    public function show(string $teamId, string $id): HandoutView
    {
        $this->deadlines->keep();

        return $this->list->one($teamId, $id, $this->clock->now()) ?? throw Problem::notFound('The handout');
    }

    /** The handout with its edition; another team's is not found. */
    public function find(string $teamId, string $id): HandedOut
    {
        return $this->reader->find($teamId, $id) ?? throw Problem::notFound('The handout');
    }

    /** The same, with the handout as it is until the act ends. */
    public function held(string $teamId, string $id): HandedOut
    {
        $this->locked($teamId, $id);

        return $this->find($teamId, $id);
    }

    /** What a student has been given; anything else is not found. */
    public function givenTo(string $studentId, string $id): HandedOut
    {
        return $this->reader->givenTo($studentId, $id) ?? throw Problem::notFound('This work');
    }

    /**
     * @param list<string> $fileIds
     *
     * @return list<string> those that stand in something that the student has been given
     */
    public function shown(string $studentId, array $fileIds): array
    {
        return $this->reader->shown($studentId, $fileIds);
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, list<string>> names of the classes, by handout
     */
    public function classNames(array $ids): array
    {
        return $this->list->classNames($ids);
    }

    public function create(StaffUser $who, HandoutInput $input): HandoutView
    {
        return $this->show($who->teamId, $this->handOut($who, $input, null));
    }

    /** The handout that an earlier request of this name has made. */
    public function ofRequest(string $teamId, string $requestId): ?string
    {
        return $this->transaction->run(fn (): ?string => $this->reader->ofRequest($teamId, $requestId));
    }

    /** A repeated request id changes nothing and gives the first one's handout. */
    public function handOut(StaffUser $who, HandoutInput $input, ?string $groupId): string
    {
        return $this->transaction->run(function () use ($who, $input, $groupId): string {
            $again = $this->reader->ofRequest($who->teamId, $input->requestId);
            if ($again !== null) {
                return $again;
            }
            $edition = $this->editions->ofTeam($who->teamId, $input->editionId)
                ?? throw Problem::invalid(['editionId' => 'Choose a published paper.']);
            $classes = array_values(array_unique($input->classes));
            $without = array_values(array_map(strtolower(...), $input->without));
            $students = $this->students->among($who->teamId, $classes, array_values($input->students));
            $students = array_values(array_diff($students, $without));
            if ($students === []) {
                throw Problem::invalid(['classes' => 'Choose at least one class with students, or single students.']);
            }
            $handout = new Handout(
                $who->teamId,
                $edition->id,
                $edition->paper()->title,
                Conditions::fromArray($input->conditions),
                $input->window(),
                array_fill_keys($classes, $without),
                $students,
                $groupId,
                $input->requestId,
                $who->id,
                $this->clock->now(),
            );
            $this->handouts->add($handout);

            return $handout->id();
        });
    }

    /**
     * Hands a student what follows a handout by itself. All who get the same paper share one handout; asked twice, it is done once.
     *
     * @return bool whether the student has been handed something
     */
    public function handOutNext(string $teamId, string $id, string $paperId, string $studentId): bool
    {
        return $this->transaction->run(function () use ($teamId, $id, $paperId, $studentId): bool {
            // Held, so that two who are done at once find one handout.
            $before = $this->locked($teamId, $id);
            $next = $this->reader->following($id, $paperId);
            if ($next !== null) {
                return $this->locked($teamId, $next)->include($studentId);
            }
            $edition = $this->editions->latestOf($teamId, $paperId);
            if ($edition === null) {
                return false;
            }
            $this->handouts->add(new Handout(
                $teamId,
                $edition->id,
                $edition->paper()->title,
                new Conditions(feedback: $before->conditions()->feedback),
                new Window(),
                [],
                [$studentId],
                null,
                Uuid::v7()->toRfc4122(),
                $before->madeBy(),
                $this->clock->now(),
                $id,
                $paperId,
            ));

            return true;
        });
    }

    public function change(StaffUser $who, string $id, HandoutChangeInput $input): HandoutView
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->reschedule($input->window(), $who->id));

        return $this->show($who->teamId, $id);
    }

    /** Puts another edition of the same paper in the place of the one that was handed out. Held from then on, until the act ends. */
    public function mend(StaffUser $who, string $id, PublishedPaper $edition): void
    {
        $this->transaction->run(fn () => $this->locked($who->teamId, $id)->mend($edition->id, $edition->number, $who->id));
    }

    /** Gives one student more time than the others have. */
    public function giveExtra(StaffUser $who, string $id, string $studentId, int $minutes): void
    {
        $this->transaction->run(function () use ($who, $id, $studentId, $minutes): void {
            $more = $this->locked($who->teamId, $id)->giveExtra($studentId, $minutes, $who->id);
            $this->work->moveEnd($id, [$studentId => 60 * $more]);
            $this->work->tell($id);
        });
    }

    /**
     * Students stop and look up, until they are released.
     *
     * @param list<string>|null $students ids; null for all
     */
    public function hold(StaffUser $who, string $id, ?array $students, string $words): void
    {
        $this->transaction->run(function () use ($who, $id, $students, $words): void {
            $this->locked($who->teamId, $id)->hold($students, $words, $who->id, $this->clock->now());
            // Words for some are nobody else's: those ask for their own.
            $students === null ? $this->work->tellHeld($id, $words) : $this->work->tell($id);
        });
    }

    /**
     * They go on, with as much time as they had.
     *
     * @param list<string>|null $students ids; null for all
     */
    public function release(StaffUser $who, string $id, ?array $students): void
    {
        $this->transaction->run(function () use ($who, $id, $students): void {
            $handout = $this->locked($who->teamId, $id);
            $this->work->goOnAfter($id, $handout->release($students, $who->id, $this->clock->now()));
            $students === null ? $this->work->tellReleased($id, $handout->conditions()->isTimed()) : $this->work->tell($id);
        });
    }

    /** Closes the handout; what students have entered is handed in as it is. Closing twice is harmless. */
    public function close(StaffUser $who, string $id): HandoutView
    {
        $this->transaction->run(function () use ($who, $id): void {
            if ($this->locked($who->teamId, $id)->close($who->id, $this->clock->now())) {
                $this->work->handIn($id);
            }
        });

        return $this->show($who->teamId, $id);
    }

    /** Opens a closed handout again, for those who have not begun and those from whom closing took their work. */
    public function reopen(StaffUser $who, string $id): HandoutView
    {
        $this->transaction->run(function () use ($who, $id): void {
            $this->locked($who->teamId, $id)->reopen($who->id, $this->clock->now());
            $this->work->giveBack($id);
        });

        return $this->show($who->teamId, $id);
    }

    /** Takes a handout back as if it had never been handed out. Only while nobody has begun: work is never thrown away. */
    public function withdraw(StaffUser $who, string $id): void
    {
        $begun = Problem::conflict('Somebody has begun this work.', 'Hide or close it instead; what students entered stays.');
        try {
            $this->transaction->run(function () use ($who, $id, $begun): void {
                $handout = $this->locked($who->teamId, $id);
                if ($this->progress->of([$id]) !== []) {
                    throw $begun;
                }
                $this->handouts->remove($handout);
                $this->transaction->note(new Acted($who->teamId, $who->id, 'withdraw', 'handout', $id, ['title' => $handout->title()]));
            });
        } catch (ForeignKeyConstraintViolationException) {
            // Begun in this very moment.
            throw $begun;
        }
    }

    public function welcome(string $classId): void
    {
        $this->reader->giveOpenTo($classId, $this->clock->now());
    }

    private function locked(string $teamId, string $id): Handout
    {
        return $this->handouts->findLocked($teamId, $id) ?? throw Problem::notFound('The handout');
    }
}
