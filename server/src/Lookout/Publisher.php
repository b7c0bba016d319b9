<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Lookout\ReadModel\LookoutRows;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Sitting\SittingChanged;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Messenger\Event\WorkerMessageHandledEvent;
use Symfony\Contracts\Service\ResetInterface;

/** Sends each row that has changed to the screens that watch. */
final class Publisher implements ResetInterface
{
    /** @var array<string, SittingChanged> by sitting */
    private array $changed = [];

    public function __construct(
        private readonly Handouts $handouts,
        private readonly LookoutRows $rows,
        private readonly Teams $teams,
        private readonly Push $push,
    ) {
    }

    #[AsEventListener]
    public function onChange(SittingChanged $event): void
    {
        $this->changed[$event->sittingId] = $event;
    }

    /** After the response has gone out, or the clock has acted, each changed row once. Before {@see Push} sends. */
    #[AsEventListener(event: TerminateEvent::class, priority: 10)]
    #[AsEventListener(event: WorkerMessageHandledEvent::class, priority: 10)]
    public function publish(): void
    {
        $watched = [];
        foreach ($this->changed as $changed) {
            if (!($watched[$changed->handoutId] ??= $this->push->isWatched(Push::teachers($changed->handoutId)))) {
                continue;
            }
            $team = $this->rows->team($changed->handoutId);
            $handout = $team === null ? null : $this->handouts->find($team, $changed->handoutId);
            $row = $handout === null ? null : $this->rows->one($handout, $this->teams->rungs($handout->teamId), $changed->sittingId);
            if ($row !== null) {
                $this->push->send(Push::teachers($changed->handoutId), ['kind' => 'row', 'row' => $row]);
            }
        }
        $this->changed = [];
    }

    public function reset(): void
    {
        $this->changed = [];
    }
}
