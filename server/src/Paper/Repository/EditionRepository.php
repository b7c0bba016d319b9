<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Repository;

use ChalkLadder\Server\Paper\Entity\Edition;
use ChalkLadder\Server\Paper\Entity\KeyChange;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Edition> */
final readonly class EditionRepository extends Repository
{
    /** The edition that a change of a key lies over, locked. */
    public function ofChange(string $teamId, string $changeId): ?Edition
    {
        $id = $this->entities->createQueryBuilder()->select('IDENTITY(k.edition)')->from(KeyChange::class, 'k')->where('k.id = :id')
            ->setParameter('id', $changeId)->getQuery()->getOneOrNullResult(\Doctrine\ORM\Query::HYDRATE_SINGLE_SCALAR);

        return is_string($id) ? $this->findLocked($teamId, $id) : null;
    }

    protected function kind(): string
    {
        return Edition::class;
    }
}
