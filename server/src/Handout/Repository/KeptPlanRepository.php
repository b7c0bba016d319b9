<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Repository;

use ChalkLadder\Server\Handout\Entity\KeptPlan;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<KeptPlan> */
final readonly class KeptPlanRepository extends Repository
{
    public function remove(KeptPlan $plan): void
    {
        $this->entities->remove($plan);
    }

    protected function kind(): string
    {
        return KeptPlan::class;
    }
}
