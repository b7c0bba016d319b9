<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Repository;

use ChalkLadder\Server\Marking\Entity\MarkEvent;
use ChalkLadder\Server\Marking\Entity\OutboxMessage;
use ChalkLadder\Server\Marking\Entity\SecondMark;
use Doctrine\ORM\EntityManagerInterface;

/** What marking adds. A sitting belongs to its team, so these are reached through it. */
final readonly class MarkRepository
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function add(MarkEvent|SecondMark|OutboxMessage $new): void
    {
        $this->entities->persist($new);
    }

    public function second(string $sittingId, string $entry, int $try, string $staffId): ?SecondMark
    {
        return $this->entities->find(
            SecondMark::class,
            ['sittingId' => $sittingId, 'entry' => $entry, 'try' => $try, 'staffId' => $staffId],
        );
    }
}
