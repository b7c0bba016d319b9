<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Repository;

use ChalkLadder\Server\Handout\Entity\Handout;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Handout> */
final readonly class HandoutRepository extends Repository
{
    public function remove(Handout $handout): void
    {
        $this->entities->remove($handout);
    }

    protected function kind(): string
    {
        return Handout::class;
    }
}
