<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\Security\Core\User\UserInterface;

/** A signed-in student. Sees own work only. */
final readonly class StudentUser implements UserInterface
{
    public function __construct(public string $id, public string $teamId, public string $name)
    {
    }

    public function getRoles(): array
    {
        return ['ROLE_STUDENT'];
    }

    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return $this->id === '' ? throw new \LogicException('A student has an id.') : $this->id;
    }
}
