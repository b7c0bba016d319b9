<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Platform\Storage;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;

/**
 * Finds and keeps the roots of one kind. The team is always named: another team's root is as good as absent.
 *
 * @template T of Root&TeamOwned
 */
abstract readonly class Repository
{
    public function __construct(protected EntityManagerInterface $entities)
    {
    }

    /** @return class-string<T> */
    abstract protected function kind(): string;

    /** @param T $root */
    public function add(object $root): void
    {
        $this->entities->persist($root);
    }

    /** @return T|null */
    public function find(string $teamId, string $id): ?object
    {
        $root = $this->entities->find($this->kind(), $id);

        return $root?->teamId() === $teamId ? $root : null;
    }

    /**
     * Two roots as they are now, with their rows locked until the act ends: always in the order of their ids, so that two acts on the same
     * two wait instead of blocking one another.
     *
     * @return array{T, T}|null in the order asked for; null where one is absent
     */
    public function findTwoLocked(string $teamId, string $one, string $other): ?array
    {
        $both = [];
        foreach ([min($one, $other), max($one, $other)] as $id) {
            $both[$id] = $this->findLocked($teamId, $id);
        }

        return isset($both[$one], $both[$other]) ? [$both[$one], $both[$other]] : null;
    }

    /**
     * The root as it is now, with its row locked until the act ends.
     *
     * @return T|null
     */
    public function findLocked(string $teamId, string $id): ?object
    {
        $known = $this->entities->getUnitOfWork()->tryGetById($id, $this->kind());
        if ($known instanceof Root) {
            $this->entities->refresh($known, LockMode::PESSIMISTIC_WRITE);
        }
        $root = $known instanceof Root ? $known : $this->entities->find($this->kind(), $id, LockMode::PESSIMISTIC_WRITE);
        $kind = $this->kind();

        return $root instanceof $kind && $root->teamId() === $teamId ? $root : null;
    }
}
