<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use Symfony\Component\Clock\ClockInterface;

/** Where each question has a time of its own: it runs from when the student comes to the question, and leaves it when it is over. */
final readonly class Turns
{
    public function __construct(private SittingReader $reader, private Transaction $transaction, private ClockInterface $clock)
    {
    }

    /**
     * A question whose time is over is left as it is. The sitting is held.
     *
     * @return StoredSitting as it is then
     */
    public function end(Sitting $held, StoredSitting $sitting): StoredSitting
    {
        if (!$sitting->isTurnOver($this->clock->now())) {
            return $sitting;
        }
        $held->endTurn($this->clock->now());
        $this->transaction->write();

        return $this->reader->ofStudent($sitting->studentId, $sitting->id);
    }

    /** Whether the time of this question has come to its end, the grace apart. */
    public function isDone(StoredSitting $sitting, string $entry): bool
    {
        return $sitting->turn === $entry && $sitting->turnLeft($this->clock->now()) === 0;
    }

    /** The student stands at an entry. The sitting is held. */
    public function begin(Sitting $held, StoredSitting $sitting, ?string $at): void
    {
        $seconds = $sitting->conditions->secondsEachFor($sitting->support);
        if ($seconds !== null && $at !== null) {
            $pass = $sitting->walk->current()->entries ?? [];
            $questions = array_values(array_filter($pass, static fn (string $e): bool => isset($sitting->edition->itemIds[$e])));
            $held->beginTurn($at, $questions, $seconds, $this->clock->now());
        }
    }
}
