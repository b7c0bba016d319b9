<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Entity\Correction;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Repository\CorrectionRepository;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Symfony\Component\Clock\ClockInterface;

/** One answer is put right by a teacher: a slip in entering it, or what a student said aloud. As it was given is kept beside it. */
final readonly class Corrections
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private CorrectionRepository $corrections,
        private Push $push,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string                  $id   made by the client, so that one sent twice is done once
     * @param array<array-key, mixed> $json the answer, under the names as they are written
     */
    public function correct(StaffUser $who, string $sittingId, string $entry, int $try, string $id, array $json, string $why): void
    {
        try {
            $value = ResponseReader::fromArray($json);
        } catch (DocumentInvalid $e) {
            throw Problem::document($e);
        }
        $this->transaction->run(function () use ($who, $sittingId, $entry, $try, $id, $value, $why): void {
            $held = $this->held($who, $sittingId);
            if ($this->corrections->find($who->teamId, $id) !== null) {
                return;
            }
            $given = $held->response($entry, $try)?->value() ?? throw Problem::notFound('The answer');
            if ($value instanceof HoldsFiles || $given instanceof HoldsFiles) {
                throw Problem::conflict('A drawing or a file is not corrected.', 'Mark it as it is, and write a comment.');
            }
            $this->put($who, $held, $entry, $try, $value);
            $this->corrections->add(new Correction(
                $id,
                $who->teamId,
                $sittingId,
                $entry,
                $try,
                $given,
                $value,
                $why,
                $who->id,
                $this->clock->now(),
            ));
            $this->transaction->note(new Acted($who->teamId, $who->id, 'correct', 'student', $held->studentId(), ['entry' => $entry]));
        });
    }

    public function undo(StaffUser $who, string $id): void
    {
        $this->transaction->run(function () use ($who, $id): void {
            $correction = $this->corrections->findLocked($who->teamId, $id) ?? throw Problem::notFound('The correction');
            $held = $this->held($who, $correction->sittingId());
            $now = $held->response($correction->entry(), $correction->try())?->value();
            $correction->undo($now, $this->clock->now());
            $this->put($who, $held, $correction->entry(), $correction->try(), $correction->given());
        });
    }

    private function held(StaffUser $who, string $sittingId): Sitting
    {
        return $this->sittings->findLocked($who->teamId, $sittingId) ?? throw Problem::notFound('The sitting');
    }

    /** Another answer, checked as the student's own would be; all that depends on it follows. Marks set by hand stay. */
    private function put(StaffUser $who, Sitting $held, string $entry, int $try, Response $value): void
    {
        $held->response($entry, $try)?->replace($value);
        $this->transaction->write();
        $sitting = $this->reader->ofTeam($who->teamId, $held->id());
        $answers = $this->reader->answers($sitting);
        foreach ($answers as $answer) {
            $held->replaceOutcome($answer->entry, $answer->try, $answer->outcome);
        }
        $held->scored(Sittings::score($sitting, $answers));
        $this->push->send(Push::students($held->handoutId()), ['kind' => 'look']);
    }
}
