<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Repository;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Roster\Entity\SchoolClass;

/** @extends Repository<SchoolClass> */
final readonly class ClassRepository extends Repository
{
    public function roster(string $teamId, string $id): SchoolClass
    {
        return $this->withMembers($this->find($teamId, $id) ?? throw Problem::notFound('The class'));
    }

    public function lockedRoster(string $teamId, string $id): SchoolClass
    {
        return $this->withMembers($this->findLocked($teamId, $id) ?? throw Problem::notFound('The class'));
    }

    /** The class with everybody who has ever been in it, in one query. */
    public function withMembers(SchoolClass $class): SchoolClass
    {
        $this->entities->createQueryBuilder()->select('c', 'm', 's')->from(SchoolClass::class, 'c')->leftJoin('c.members',
            'm')->leftJoin('m.student', 's')
            ->where('c = :class')->setParameter('class', $class->id())->getQuery()->getResult();

        return $class;
    }

    protected function kind(): string
    {
        return SchoolClass::class;
    }
}
