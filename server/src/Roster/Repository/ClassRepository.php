<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Repository;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Roster\Entity\SchoolClass;
use Doctrine\DBAL\LockMode;

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

    /**
     * All of a team's classes with everybody who has ever been in them, in two queries.
     *
     * @param bool $locked their rows are locked until the act ends, always in the same order
     *
     * @return list<SchoolClass>
     */
    public function ofTeam(string $teamId, bool $locked = false): array
    {
        $query = $this->entities->createQueryBuilder()->select('c')->from(SchoolClass::class, 'c')
            ->where('c.teamId = :team')->setParameter('team', $teamId)->orderBy('c.id')->getQuery();
        /** @var list<SchoolClass> $classes */
        $classes = $locked ? $query->setLockMode(LockMode::PESSIMISTIC_WRITE)->getResult() : $query->getResult();
        $this->entities->createQueryBuilder()->select('c', 'm', 's')->from(SchoolClass::class, 'c')->leftJoin('c.members',
            'm')->leftJoin('m.student', 's')
            ->where('c.teamId = :team')->setParameter('team', $teamId)->getQuery()->getResult();

        return $classes;
    }

    protected function kind(): string
    {
        return SchoolClass::class;
    }
}
