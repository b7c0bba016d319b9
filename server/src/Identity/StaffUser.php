<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;

/** A signed-in teacher, lead or marker. */
final readonly class StaffUser implements TeamMember, UserInterface, PasswordAuthenticatedUserInterface
{
    public function __construct(
        public string $id,
        public string $teamId,
        public string $name,
        public Role $role,
        private ?string $passwordHash = null,
    ) {
    }

    public function team(): string
    {
        return $this->teamId;
    }

    public function getRoles(): array
    {
        return ['ROLE_'.strtoupper($this->role->value)];
    }

    // Empty, and said to be: else every request asks, and is told off.
    #[\Deprecated]
    public function eraseCredentials(): void
    {
    }

    public function getUserIdentifier(): string
    {
        return $this->id === '' ? throw new \LogicException('A staff user has an id.') : $this->id;
    }

    public function getPassword(): ?string
    {
        return $this->passwordHash;
    }
}
