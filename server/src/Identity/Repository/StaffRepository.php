<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Repository;

use ChalkLadder\Server\Identity\Entity\StaffMember;
use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Platform\Storage\TeamFilter;

/** @extends Repository<StaffMember> */
final readonly class StaffRepository extends Repository
{
    /** Whoever signs in is looked for in all teams, even where somebody of another team is still signed in; here, and only here. */
    public function ofEmail(string $email): ?StaffMember
    {
        $filters = $this->entities->getFilters();
        $locked = $filters->isEnabled(TeamFilter::NAME);
        if ($locked) {
            $filters->suspend(TeamFilter::NAME);
        }
        try {
            return $this->entities->getRepository(StaffMember::class)->findOneBy(['email' => $email]);
        } finally {
            if ($locked) {
                $filters->restore(TeamFilter::NAME);
            }
        }
    }

    protected function kind(): string
    {
        return StaffMember::class;
    }
}
