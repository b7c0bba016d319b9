<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Entity\Merge;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use ChalkLadder\Server\Roster\Repository\MergeRepository;
use ChalkLadder\Server\Roster\Repository\StudentRepository;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Two records of one student: all that the one has becomes the other's, whose name, PIN and support are kept. */
final readonly class Doubles
{
    /** @param iterable<MovesWork> $rooms */
    public function __construct(
        private StudentRepository $students,
        private MergeRepository $merges,
        private RosterList $rosters,
        private Sessions $sessions,
        private Transaction $transaction,
        private ClockInterface $clock,
        #[AutowireIterator(MovesWork::class)]
        private iterable $rooms,
    ) {
    }

    /** @param string $id made by the client, so that one sent twice is done once */
    public function merge(StaffUser $who, string $id, string $fromId, string $intoId): void
    {
        if ($fromId === $intoId) {
            throw Problem::invalid(['into' => 'Choose the other of the two.']);
        }
        $this->transaction->run(function () use ($who, $id, $fromId, $intoId): void {
            $two = $this->students->findTwoLocked($who->teamId, $fromId, $intoId) ?? throw Problem::notFound('The student');
            if ($this->merges->find($who->teamId, $id) !== null) {
                return;
            }
            [$from, $into] = $two;
            if ($from->isGone() || $into->isGone()) {
                throw Problem::notFound('The student');
            }
            $this->rosters->deferWork();
            $moved = [];
            foreach ($this->rooms as $room) {
                $moved[$room->room()] = $room->move($fromId, $intoId);
            }
            $from->becomes($intoId);
            $this->sessions->closeAllOfStudent($fromId);
            $this->merges->add(new Merge($id, $who->teamId, $fromId, $intoId, $moved, $who->id, $this->clock->now()));
            $this->transaction->note(new Acted($who->teamId, $who->id, 'put together', 'student', $intoId, ['from' => $from->name()]));
        });
    }

    /** Takes it back: what came from the one is theirs again. What has been done since stays with whom it was done as. */
    public function part(StaffUser $who, string $id): void
    {
        $this->transaction->run(function () use ($who, $id): void {
            $merge = $this->merges->findLocked($who->teamId, $id) ?? throw Problem::notFound('The change');
            $merge->undo($this->clock->now());
            $this->rosters->deferWork();
            foreach ($this->rooms as $room) {
                $room->moveBack($merge->fromId(), $merge->intoId(), $merge->movedBy($room->room()));
            }
            $from = $this->students->findLocked($who->teamId, $merge->fromId()) ?? throw Problem::notFound('The student');
            $from->becomes(null);
            $this->transaction->note(new Acted($who->teamId, $who->id, 'part', 'student', $merge->intoId(), ['from' => $from->name()]));
        });
    }
}
