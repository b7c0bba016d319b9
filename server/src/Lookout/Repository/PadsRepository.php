<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Repository;

use ChalkLadder\Server\Lookout\Entity\Pads;
use ChalkLadder\Server\Platform\Storage\Repository;
use Doctrine\DBAL\LockMode;

/** @extends Repository<Pads> */
final readonly class PadsRepository extends Repository
{
    /** Whosever it is: a receiver knows no team, only its key. Locked. */
    public function ofHandoutLocked(string $handoutId): ?Pads
    {
        return $this->entities->find(Pads::class, $handoutId, LockMode::PESSIMISTIC_WRITE);
    }

    protected function kind(): string
    {
        return Pads::class;
    }
}
