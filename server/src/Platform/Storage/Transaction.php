<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Contracts\Service\ResetInterface;

/**
 * One act of the job, all of it or none. What the roots note while it runs is kept by those who must keep it in the same
 * transaction ({@see BeforeCommit}) and told to everybody else when it is durable.
 */
final class Transaction implements ResetInterface
{
    private int $depth = 0;

    /** @var list<object> */
    private array $events = [];

    /** @param iterable<BeforeCommit> $keepers */
    public function __construct(
        private readonly EntityManagerInterface $entities,
        private readonly EventDispatcherInterface $dispatcher,
        #[AutowireIterator(BeforeCommit::class)]
        private readonly iterable $keepers,
    ) {
    }

    /**
     * An act within an act belongs to the outer one.
     *
     * @template T
     *
     * @param \Closure(): T $act
     *
     * @return T
     */
    public function run(\Closure $act): mixed
    {
        $connection = $this->entities->getConnection();
        ++$this->depth;
        try {
            if ($this->depth > 1) {
                return $act();
            }
            $connection->beginTransaction();
            try {
                $result = $act();
                $events = $this->collect();
                $connection->commit();
                // Statements of our own may write beneath the entities; the next act reads anew.
                $this->entities->clear();
            } catch (\Throwable $e) {
                $this->events = [];
                $connection->rollBack();
                // What is in memory no longer tells the truth.
                $this->entities->clear();
                throw $e;
            }
        } finally {
            --$this->depth;
        }
        foreach ($events as $event) {
            $this->dispatcher->dispatch($event);
        }

        return $result;
    }

    /** Writes what has changed so far, for a read model that is asked within the act. */
    public function write(): void
    {
        $this->entities->flush();
    }

    /** For what happens to no single root, or is written by a native statement. */
    public function note(object $event): void
    {
        $this->events[] = $event;
    }

    public function reset(): void
    {
        $this->depth = 0;
        $this->events = [];
    }

    /** @return list<object> */
    private function collect(): array
    {
        $events = $this->events;
        $this->events = [];
        foreach ($this->entities->getUnitOfWork()->getIdentityMap() as $roots) {
            foreach ($roots as $root) {
                if ($root instanceof Root) {
                    array_push($events, ...$root->happened());
                }
            }
        }
        foreach ($this->keepers as $keeper) {
            $keeper->keep($events);
        }
        $this->entities->flush();

        return $events;
    }
}
