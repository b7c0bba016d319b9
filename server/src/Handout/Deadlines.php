<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

use ChalkLadder\Server\Handout\ReadModel\HandoutReader;
use ChalkLadder\Server\Handout\Repository\HandoutRepository;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Scheduler\Attribute\AsPeriodicTask;

/** At the closing time what is there is handed in: by the clock, and whenever somebody looks before the clock has come round. */
final readonly class Deadlines
{
    public function __construct(
        private HandoutReader $reader,
        private HandoutRepository $handouts,
        private HandsInWork $work,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** @return int how many handouts were closed */
    #[AsPeriodicTask('5 seconds', schedule: 'clock')]
    public function keep(): int
    {
        $this->work->handInOverdue();
        $closed = 0;
        foreach ($this->reader->due($this->clock->now()) as ['team' => $team, 'id' => $id]) {
            $closed += $this->transaction->run(function () use ($team, $id): int {
                $now = $this->clock->now();
                $handout = $this->handouts->findLocked($team, $id);
                if ($handout === null || !$handout->window()->isDueAt($now)) {
                    return 0;
                }
                $this->work->handIn($id, $handout->stillAt($now));

                return $handout->closeByTheClock($now) ? 1 : 0;
            });
        }

        return $closed;
    }
}
