<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use Doctrine\DBAL\LockMode;

/** @extends Repository<Sitting> */
final readonly class SittingRepository extends Repository
{
    /**
     * Sittings of a handout in one of these states, locked, in the order of their ids, so that two acts never wait for each other.
     *
     * @param list<SittingState> $states
     * @param list<string>|null  $students ids; null for all
     *
     * @return list<Sitting>
     */
    public function ofHandout(string $handoutId, array $states, ?array $students = null): array
    {
        $query = $this->entities->createQueryBuilder()->select('s')->from(Sitting::class,
            's')->where('s.handoutId = :handout')->andWhere('s.state IN (:states)')
            ->setParameter('handout', $handoutId)->setParameter('states', $states)->orderBy('s.id');
        if ($students !== null) {
            $query->andWhere('s.studentId IN (:students)')->setParameter('students', $students);
        }
        /** @var list<Sitting> $sittings */
        $sittings = $query->getQuery()->setLockMode(LockMode::PESSIMISTIC_WRITE)->setHint(
            \Doctrine\ORM\Query::HINT_REFRESH,
            true,
        )->getResult();

        return $sittings;
    }

    /**
     * Those of these sittings that are being worked on, locked.
     *
     * @param list<string> $ids
     *
     * @return list<Sitting>
     */
    public function openAmong(array $ids): array
    {
        /** @var list<Sitting> $sittings */
        $sittings = $ids === [] ? [] : $this->entities->createQueryBuilder()->select('s')->from(Sitting::class, 's')
            ->where('s.id IN (:ids)')->andWhere('s.state = :open')->setParameter('ids', $ids)->setParameter('open', SittingState::Open)
            ->orderBy('s.id')->getQuery()->setLockMode(LockMode::PESSIMISTIC_WRITE)
            ->setHint(\Doctrine\ORM\Query::HINT_REFRESH, true)->getResult();

        return $sittings;
    }

    /** A student's own sitting, locked; anybody else's is not found. */
    public function ofStudentLocked(StudentUser $who, string $id): Sitting
    {
        $sitting = $this->findLocked($who->teamId, $id);

        return $sitting?->studentId() === $who->id ? $sitting : throw Problem::notFound('The sitting');
    }

    protected function kind(): string
    {
        return Sitting::class;
    }
}
