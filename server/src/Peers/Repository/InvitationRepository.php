<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Repository;

use ChalkLadder\Server\Peers\Entity\Invitation;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Invitation> */
final readonly class InvitationRepository extends Repository
{
    protected function kind(): string
    {
        return Invitation::class;
    }
}
