<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Server\Bank\Entity\KeptSearch;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<KeptSearch> */
final readonly class KeptSearchRepository extends Repository
{
    public function named(string $teamId, string $staffId, string $name): ?KeptSearch
    {
        return $this->entities->getRepository(KeptSearch::class)
            ->findOneBy(['teamId' => $teamId, 'staffId' => $staffId, 'name' => $name]);
    }

    public function remove(KeptSearch $search): void
    {
        $this->entities->remove($search);
    }

    protected function kind(): string
    {
        return KeptSearch::class;
    }
}
