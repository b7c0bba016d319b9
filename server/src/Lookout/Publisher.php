<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Sitting\SittingChanged;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Messenger\Event\WorkerMessageHandledEvent;
use Symfony\Contracts\Service\ResetInterface;

/** Sends each row that has changed to the screens that watch. */
final class Publisher implements ResetInterface
{
    /** @var array<string, SittingChanged> by sitting */
    private array $changed = [];

    /** @param \Closure(): ChangedRows $rows made where somebody watches what has changed */
    public function __construct(
        private readonly Push $push,
        #[AutowireServiceClosure(ChangedRows::class)]
        private readonly \Closure $rows,
    ) {
    }

    #[AsEventListener]
    public function onChange(SittingChanged $event): void
    {
        $this->changed[$event->sittingId] = $event;
    }

    /** After the response has gone out, or the clock has acted, each changed row once, and none for nobody. Before {@see Push} sends. */
    #[AsEventListener(event: TerminateEvent::class, priority: 10)]
    #[AsEventListener(event: WorkerMessageHandledEvent::class, priority: 10)]
    public function publish(): void
    {
        $handouts = array_unique(array_map(static fn (SittingChanged $changed): string => $changed->handoutId, $this->changed));
        $watched = array_filter($handouts, fn (string $id): bool => $this->push->isWatched(Push::teachers($id)));
        $seen = array_filter($this->changed, static fn (SittingChanged $changed): bool => in_array($changed->handoutId, $watched, true));
        if ($seen !== []) {
            ($this->rows)()->send($seen);
        }
        $this->changed = [];
    }

    public function reset(): void
    {
        $this->changed = [];
    }
}
