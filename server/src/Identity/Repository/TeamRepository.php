<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Repository;

use ChalkLadder\Server\Identity\Entity\Team;
use Doctrine\ORM\EntityManagerInterface;

final readonly class TeamRepository
{
    public function __construct(private EntityManagerInterface $entities)
    {
    }

    public function get(string $id): Team
    {
        return $this->entities->find(Team::class, $id) ?? throw new \LogicException('Whoever is signed in has a team.');
    }

    public function add(Team $team): void
    {
        $this->entities->persist($team);
    }
}
