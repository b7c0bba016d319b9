<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Repository;

use ChalkLadder\Server\Peers\Entity\Proposal;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Proposal> */
final readonly class ProposalRepository extends Repository
{
    protected function kind(): string
    {
        return Proposal::class;
    }
}
