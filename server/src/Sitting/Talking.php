<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Kind;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\CallInput;
use ChalkLadder\Server\Sitting\Entity\Call;
use ChalkLadder\Server\Sitting\Entity\Note;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\Talk;
use ChalkLadder\Server\Sitting\Repository\CallRepository;
use ChalkLadder\Server\Sitting\Repository\NoteRepository;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Clock\ClockInterface;

/** Students call for their teacher, and the teacher writes to them, while they are at work. */
final readonly class Talking
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private CallRepository $calls,
        private NoteRepository $notes,
        private Talk $talk,
        private Handouts $handouts,
        private Files $files,
        private Push $push,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    /** Asks for the teacher; a call that waits already gives way to the new one. Sent twice, it is made once. */
    public function call(StudentUser $who, string $sittingId, CallInput $input): void
    {
        $this->transaction->run(function () use ($who, $sittingId, $input): void {
            $sitting = $this->sittings->ofStudentLocked($who, $sittingId);
            $stored = $this->reader->ofStudent($who->id, $sittingId);
            if ($sitting->state() !== SittingState::Open) {
                throw Problem::conflict('This work is handed in.', 'Ask your teacher in the room.');
            }
            if ($this->talk->isMade($sittingId, strtolower($input->id))) {
                return;
            }
            $now = $this->clock->now();
            $this->waiting($who->teamId, $sittingId)?->settle(null, $now);
            // Written first: a sitting has one call that waits at most.
            $this->transaction->write();
            $entry = $stored->edition->has($input->entry) ? $input->entry : '';
            $this->calls->add(new Call(
                strtolower($input->id),
                $who->teamId,
                $sittingId,
                $input->kind,
                $entry,
                trim($input->words),
                $now,
            ));
        });
        $this->changed($who->teamId, $sittingId);
    }

    public function neverMind(StudentUser $who, string $sittingId): void
    {
        $this->transaction->run(function () use ($who, $sittingId): void {
            $this->sittings->ofStudentLocked($who, $sittingId);
            $this->waiting($who->teamId, $sittingId)?->settle(null, $this->clock->now());
        });
        $this->changed($who->teamId, $sittingId);
    }

    /** The teacher has seen to the call of a sitting that waits. */
    public function settle(StaffUser $who, string $sittingId, string $callId): void
    {
        $this->see($who, $sittingId, $callId, fn (Call $call) => $call->settle($who->id, $this->clock->now()));
    }

    /** A call that was settled by a slip of the hand waits again, unless there is a newer one. */
    public function unsettle(StaffUser $who, string $sittingId, string $callId): void
    {
        $this->see($who, $sittingId, $callId, function (Call $call) use ($sittingId): void {
            if ($this->talk->call($sittingId) === null) {
                $call->unsettle();
            }
        });
    }

    /**
     * Writes to one student, or to all who have a handout.
     *
     * @param string|null $studentId null for all
     * @param string|null $fileId    what is spoken
     */
    public function write(
        StaffUser $who,
        string $handoutId,
        string $id,
        ?string $studentId,
        ?string $entry,
        string $words,
        ?string $fileId,
    ): void {
        $this->transaction->run(function () use ($who, $handoutId, $id, $studentId, $entry, $words, $fileId): void {
            $fileId === null ? null : $this->mustBeSpoken($who->teamId, $fileId);
            $handout = $this->handouts->find($who->teamId, $handoutId);
            if ($studentId !== null) {
                $this->handouts->givenTo($studentId, $handoutId);
            }
            if ($this->notes->findLocked($who->teamId, $id) !== null) {
                return;
            }
            $this->notes->add(new Note(
                $id,
                $who->teamId,
                $handoutId,
                $studentId,
                $entry !== null && $handout->edition->has($entry) ? $entry : null,
                $words,
                $who->id,
                $this->clock->now(),
                $fileId,
            ));
            $this->transaction->note(new Acted(
                $who->teamId,
                $who->id,
                'write',
                'handout',
                $handoutId,
                ['to' => $studentId === null ? 'all' : 'one'],
            ));
        });
        $this->push->send(Push::students($handoutId), ['kind' => 'look']);
    }

    public function takeBack(StaffUser $who, string $noteId): void
    {
        $handoutId = $this->transaction->run(function () use ($who, $noteId): string {
            $note = $this->notes->findLocked($who->teamId, $noteId) ?? throw Problem::notFound('The note');
            $note->takeBack($this->clock->now());

            return $note->handoutId();
        });
        $this->push->send(Push::students($handoutId), ['kind' => 'look']);
    }

    /** A sound of the team's own; what a student has sent is nobody else's to hear. */
    private function mustBeSpoken(string $teamId, string $fileId): void
    {
        $file = $this->files->about($teamId, [$fileId])[0] ?? null;
        $isStudents = ($this->files->sittingsOf($teamId, [$fileId])[$fileId] ?? null) !== null;
        if ($file === null || $isStudents || $file->kind !== Kind::Sound->value) {
            throw Problem::invalid(['file' => 'This recording is not here any more. Speak it again.']);
        }
    }

    /** @param \Closure(Call): mixed $act */
    private function see(StaffUser $who, string $sittingId, string $callId, \Closure $act): void
    {
        $handoutId = $this->transaction->run(function () use ($who, $sittingId, $callId, $act): string {
            $sitting = $this->sittings->findLocked($who->teamId, $sittingId) ?? throw Problem::notFound('The sitting');
            $call = $this->talk->isMade($sittingId, $callId) ? $this->calls->findLocked($who->teamId, $callId) : null;
            $act($call ?? throw Problem::notFound('The call'));

            return $sitting->handoutId();
        });
        $this->changed($who->teamId, $sittingId);
        $this->push->send(Push::students($handoutId), ['kind' => 'look']);
    }

    private function waiting(string $teamId, string $sittingId): ?Call
    {
        $waits = $this->talk->call($sittingId);

        return $waits === null ? null : $this->calls->findLocked($teamId, $waits->id);
    }

    /** The Lookout hears of it. */
    private function changed(string $teamId, string $sittingId): void
    {
        $sitting = $this->reader->ofTeam($teamId, $sittingId);
        $this->events->dispatch(new SittingChanged($sitting->handoutId, $sittingId));
    }
}
