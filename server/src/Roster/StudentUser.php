<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\TeamMember;
use Symfony\Component\Security\Core\User\UserInterface;

/** A signed-in student. Sees own work only. */
final readonly class StudentUser implements TeamMember, UserInterface
{
    public function __construct(public string $id, public string $teamId, public string $name)
    {
    }

    public function team(): string
    {
        return $this->teamId;
    }

    public function getRoles(): array
    {
        return ['ROLE_STUDENT'];
    }

    // Empty, and said to be: else every request asks, and is told off.
    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return $this->id === '' ? throw new \LogicException('A student has an id.') : $this->id;
    }
}
