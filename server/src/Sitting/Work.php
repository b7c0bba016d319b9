<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\HandsInWork;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\Aside;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;
use ChalkLadder\Server\Sitting\ReadModel\Remarking;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\WorkList;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Symfony\Component\Clock\ClockInterface;

/** What teachers do with the work of students: take it in, give it back, mark it, return it. */
final readonly class Work implements HandsInWork
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private WorkList $list,
        private Aside $aside,
        private Remarking $remarking,
        private Push $push,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function handIn(string $handoutId, array $but = []): void
    {
        $open = array_filter(
            $this->sittings->ofHandout($handoutId, [SittingState::Open]),
            static fn (Sitting $s): bool => !in_array($s->studentId(), $but, true),
        );
        $this->takeIn($handoutId, $open, Sitting::BY_CLOSING);
        // What is told from closing on is told from now on.
        foreach ($but === [] ? $this->sittings->ofHandout($handoutId, [SittingState::HandedIn, SittingState::Marked]) : [] as $sitting) {
            $sitting->handoutClosed();
        }
        // By the clock this comes round again and again until the last student's time is over.
        if ($open !== [] || $but === []) {
            $this->push->send(Push::students($handoutId), ['kind' => 'closed']);
        }
    }

    public function handInOverdue(): void
    {
        // Asked at every look: mostly there are none, and then nothing is begun.
        foreach ($this->list->overdue($this->clock->now()) as $handoutId => $ids) {
            $this->transaction->run(function () use ($handoutId, $ids): void {
                $this->takeIn($handoutId, $this->sittings->openAmong($ids), Sitting::BY_TIME);
                $this->push->send(Push::students($handoutId), ['kind' => 'closed']);
            });
        }
    }

    /** Takes in what is there of one student, who is still at it. */
    public function takeOneIn(StaffUser $who, string $sittingId): void
    {
        $this->transaction->run(function () use ($who, $sittingId): void {
            $sitting = $this->held($who->teamId, $sittingId);
            if ($sitting->state() !== SittingState::Open) {
                throw Problem::conflict('This work is handed in already.', 'Nothing was altered.');
            }
            $this->takeIn($sitting->handoutId(), [$sitting], Sitting::BY_TEACHER);
            $this->transaction->note(new Acted(
                $who->teamId,
                $who->id,
                'take in',
                'handout',
                $sitting->handoutId(),
                ['student' => $sitting->studentId()],
            ));
            $this->push->send(Push::students($sitting->handoutId()), ['kind' => 'closed']);
        });
    }

    /** @param iterable<Sitting> $open of the handout, held */
    private function takeIn(string $handoutId, iterable $open, string $by): void
    {
        $held = [];
        foreach ($open as $sitting) {
            $held[$sitting->id()] = $sitting;
        }
        // Read under the lock: what a student has sent until now is in it.
        foreach ($held === [] ? [] : $this->reader->openOf($handoutId) as $sitting) {
            ($held[$sitting->id] ?? null)?->handIn(
                $by,
                Sittings::score($sitting, $this->reader->answers($sitting)),
                $this->clock->now(),
            );
        }
    }

    public function moveEnd(string $handoutId, array $seconds): void
    {
        foreach ($this->sittings->ofHandout($handoutId, [SittingState::Open], array_keys($seconds)) as $sitting) {
            $sitting->moveEnd($seconds[$sitting->studentId()] ?? 0);
        }
    }

    public function goOnAfter(string $handoutId, array $seconds): void
    {
        foreach ($this->sittings->ofHandout($handoutId, [SittingState::Open], array_keys($seconds)) as $sitting) {
            $sitting->moveEnd($seconds[$sitting->studentId()] ?? 0);
            $sitting->moveTurn($seconds[$sitting->studentId()] ?? 0);
        }
    }

    public function tell(string $handoutId): void
    {
        $this->push->send(Push::students($handoutId), ['kind' => 'look']);
        $this->push->send(Push::teachers($handoutId), ['kind' => 'look']);
    }

    public function tellHeld(string $handoutId, string $words): void
    {
        $this->push->send(Push::students($handoutId), ['kind' => 'hold', 'words' => $words]);
        $this->push->send(Push::teachers($handoutId), ['kind' => 'look']);
    }

    public function tellReleased(string $handoutId, bool $isTimed): void
    {
        if ($isTimed) {
            $this->tell($handoutId);

            return;
        }
        $this->push->send(Push::students($handoutId), ['kind' => 'release']);
        $this->push->send(Push::teachers($handoutId), ['kind' => 'look']);
    }

    public function giveBack(string $handoutId): void
    {
        foreach ($this->sittings->ofHandout($handoutId, [SittingState::HandedIn, SittingState::Marked]) as $sitting) {
            if ($sitting->wasTakenByClosing()) {
                $sitting->reopen();
            }
        }
        $this->push->send(Push::students($handoutId), ['kind' => 'reopened']);
    }

    /** Opens one handed-in piece of work again. The handout itself must take answers; its teacher sees to that. */
    public function reopen(string $teamId, string $sittingId): void
    {
        $this->transaction->run(function () use ($teamId, $sittingId): void {
            $sitting = $this->held($teamId, $sittingId);
            if (!$this->reader->ofTeam($teamId, $sittingId)->window->takesAnswersAt($this->clock->now())) {
                throw Problem::conflict(
                    'The handout is closed.',
                    'Open the handout again first; that gives work back to everybody from whom closing took it.',
                );
            }
            $sitting->reopen();
            $this->push->send(Push::students($sitting->handoutId()), ['kind' => 'reopened']);
        });
    }

    /** All work of a handout stays as it is until the act ends, and none is begun. */
    public function hold(string $handoutId): void
    {
        $this->list->holdBeginning($handoutId);
        $this->sittings->ofHandout($handoutId, SittingState::cases());
    }

    /**
     * Another edition has taken the place of the one that was sat. The work is held.
     *
     * @param list<MovedSitting> $moved    all sittings of the handout
     * @param list<Remarked>     $remarked answers that are worth, or read as, something else
     */
    public function mend(string $handoutId, array $moved, array $remarked): void
    {
        if ($moved !== []) {
            $edition = $moved[0]->now->edition;
            $this->aside->move($handoutId, $moved[0]->then->edition->id, array_keys($edition->itemIds));
            $this->remarking->store($remarked);
        }
        $held = [];
        foreach ($this->sittings->ofHandout($handoutId, SittingState::cases()) as $sitting) {
            $held[$sitting->id()] = $sitting;
        }
        foreach ($moved as $one) {
            ($held[$one->then->id] ?? null)?->mend($one->now->walk, $one->mended, $one->after, $this->clock->now());
        }
        $this->tell($handoutId);
    }

    /**
     * Another key may make another way: nobody is sent back to what is right by now, unless they have gone on already.
     *
     * @param list<string> $sittingIds
     */
    public function mendWays(string $teamId, array $sittingIds): void
    {
        foreach ($this->sittings->openAmong($sittingIds) as $held) {
            $sitting = $this->reader->ofTeam($teamId, $held->id());
            $open = $sitting->walk->current();
            if ($open === null || count($sitting->walk->visits) < 2) {
                continue;
            }
            $answers = $this->reader->answers($sitting);
            $here = array_filter($answers, static fn (Answer $a): bool => $a->says() && $sitting->walk->isOpen($a->entry, $a->try));
            $way = $sitting->walk->mended(
                $sitting->edition->paper(),
                $sitting->conditions,
                $sitting->seed,
                Answer::outcomes($answers),
                $sitting->edition->machineMarked(),
                array_values(array_map(static fn (Answer $a): string => $a->entry, $here)),
            );
            if ($way->toArray() !== $sitting->walk->toArray()) {
                $held->takeWay($way);
                $this->push->send(Push::students($held->handoutId()), ['kind' => 'reopened']);
            }
        }
    }

    /**
     * Gives an answer a mark by hand and brings the sitting's marks in line.
     *
     * @param int                                        $version the mark that the marker has seen
     * @param \Closure(StoredSitting, Answer): HandMark $decide  what the mark is to be, read under the lock
     */
    public function mark(string $teamId, string $sittingId, string $entry, int $try, int $version, \Closure $decide): MarkedByHand
    {
        return $this->transaction->run(function () use ($teamId, $sittingId, $entry, $try, $version, $decide): MarkedByHand {
            $held = $this->held($teamId, $sittingId);
            $sitting = $this->reader->ofTeam($teamId, $sittingId);
            $before = self::answer($this->reader->answers($sitting), $entry, $try) ?? throw Problem::notFound('The answer');
            if ($before->markVersion !== $version) {
                throw Problem::conflict(
                    'Somebody marked this answer before you.',
                    'Their mark is shown now. Mark again if you see it otherwise.',
                    ['markVersion' => $before->markVersion],
                );
            }
            $mark = $decide($sitting, $before);
            $held->markByHand($entry, $try, $mark);
            $this->transaction->write();
            $held->scored(Sittings::score($sitting, $this->reader->answers($sitting)));

            return new MarkedByHand($sitting, $before, $mark);
        });
    }

    /**
     * The mark that a person gave to an answer, with the sitting held until the act ends.
     *
     * @return array{StoredSitting, HandMark|null}
     */
    public function firstMark(string $teamId, string $sittingId, string $entry, int $try): array
    {
        $held = $this->held($teamId, $sittingId);

        return [
            $this->reader->ofTeam($teamId, $sittingId),
            ($held->response($entry, $try) ?? throw Problem::notFound('The answer'))->handMark(),
        ];
    }

    /**
     * Returns work that is marked.
     *
     * @param list<string>|null $students ids; null for all
     *
     * @return array{list<string>, list<string>} students whose work was returned, and students with work that still waits; each once
     */
    public function return(string $handoutId, ?array $students, string $message): array
    {
        return $this->transaction->run(function () use ($handoutId, $students, $message): array {
            $returned = $waiting = [];
            foreach ($this->sittings->ofHandout($handoutId, [SittingState::HandedIn, SittingState::Marked], $students) as $sitting) {
                if ($sitting->state() === SittingState::Marked) {
                    $sitting->giveBack($message, $this->clock->now());
                    $returned[$sitting->studentId()] = $sitting->studentId();
                } else {
                    $waiting[$sitting->studentId()] = $sitting->studentId();
                }
            }
            if ($returned !== []) {
                $this->push->send(Push::students($handoutId), ['kind' => 'returned']);
            }

            return [array_values($returned), array_values($waiting)];
        });
    }

    /**
     * Takes returned work back, unless the student has replied to it.
     *
     * @param list<string>|null $students ids; null for all
     *
     * @return list<string> students whose work was taken back, each once
     */
    public function takeBack(string $handoutId, ?array $students): array
    {
        return $this->transaction->run(function () use ($handoutId, $students): array {
            $taken = [];
            foreach ($this->sittings->ofHandout($handoutId, [SittingState::Returned], $students) as $sitting) {
                if (!$sitting->hasReply()) {
                    $sitting->takeBack();
                    $taken[$sitting->studentId()] = $sitting->studentId();
                }
            }
            if ($taken !== []) {
                $this->push->send(Push::students($handoutId), ['kind' => 'returned']);
            }

            return array_values($taken);
        });
    }

    private function held(string $teamId, string $sittingId): Sitting
    {
        return $this->sittings->findLocked($teamId, $sittingId) ?? throw Problem::notFound('The sitting');
    }

    /** @param list<Answer> $answers */
    private static function answer(array $answers, string $entry, int $try): ?Answer
    {
        return array_values(array_filter($answers, static fn (Answer $a): bool => $a->entry === $entry && $a->try === $try))[0] ?? null;
    }
}
