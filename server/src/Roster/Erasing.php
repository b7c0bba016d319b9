<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\Repository\StudentRepository;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Erases a student on request: name, PIN, sessions, words written and received. Cannot be undone. */
final readonly class Erasing
{
    /** @param iterable<ForgetsStudents> $rooms */
    public function __construct(
        private StudentRepository $students,
        private RosterList $rosters,
        private Pins $pins,
        private Sessions $sessions,
        private Transaction $transaction,
        private ClockInterface $clock,
        #[AutowireIterator(ForgetsStudents::class)]
        private iterable $rooms,
    ) {
    }

    public function erase(string $teamId, string $studentId): void
    {
        $this->transaction->run(function () use ($teamId, $studentId): void {
            $student = $this->students->findLocked($teamId, $studentId) ?? throw Problem::notFound('The student');
            $student->erase($this->pins->seal(Pins::fresh()));
            $this->transaction->write();
            $this->rosters->leaveAll($studentId, $this->clock->now());
            $this->sessions->closeAllOfStudent($studentId);
            foreach ($this->rooms as $room) {
                $room->forget($studentId);
            }
        });
    }
}
