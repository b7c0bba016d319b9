<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\Entity\TrailEntry;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\BeforeCommit;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\ClockInterface;

/** Keeps the trail: every act of staff, in the transaction of the act. */
final readonly class TrailWriter implements BeforeCommit
{
    public function __construct(private EntityManagerInterface $entities, private ClockInterface $clock)
    {
    }

    public function keep(array $events): void
    {
        foreach ($events as $event) {
            if ($event instanceof Acted) {
                $this->entities->persist(new TrailEntry($event, $this->clock->now()));
            }
        }
    }
}
