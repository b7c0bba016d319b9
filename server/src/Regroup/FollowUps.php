<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup;

use ChalkLadder\Core\Paper\FollowUp;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\WorkChanged;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Hands students what the paper says comes next: as soon as all of their work is marked and they may be told how it stands, since
 * what one is handed tells. Of several that fit the first is taken. It is done once, however often work changes afterwards.
 */
final class FollowUps implements ResetInterface
{
    /** @var array<string, list<FollowUp>> by handout */
    private array $of = [];

    public function __construct(
        private readonly Handouts $handouts,
        private readonly SittingReader $reader,
        private readonly Teams $teams,
    ) {
    }

    #[AsEventListener]
    public function onChange(WorkChanged $event): void
    {
        $followUps = $this->of[$event->handoutId]
            ??= $this->handouts->find($event->teamId, $event->handoutId)->edition->paper()->followUps;
        if ($followUps === []) {
            return;
        }
        $sitting = $this->reader->ofTeam($event->teamId, $event->sittingId);
        $score = Sittings::score($sitting, $this->reader->answers($sitting));
        if (!$sitting->tells(Told::Marks) || $score->waiting !== [] || $score->possible->isZero()) {
            return;
        }
        $rung = $this->teams->rungs($event->teamId)->reached($score->total->dividedBy($score->possible)->toFloat());
        $misconceptions = $this->reader->misconceptions($event->sittingId);
        foreach ($followUps as $followUp) {
            if ($followUp->isFor($rung, $misconceptions)) {
                $this->handouts->handOutNext($event->teamId, $event->handoutId, $followUp->paper, $sitting->studentId);

                return;
            }
        }
    }

    public function reset(): void
    {
        $this->of = [];
    }
}
