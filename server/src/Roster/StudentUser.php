<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\TeamMember;
use Symfony\Component\Security\Core\User\UserInterface;

/** A signed-in student. Sees own work only. */
final readonly class StudentUser implements TeamMember, UserInterface
{
    /**
     * @param array{hash: string, now: string, idle: string}|null $toProve what tells whether the session still holds, where that is known
     *                                                                     from memory alone; null where it has been proved
     */
    public function __construct(public string $id, public string $teamId, public string $name, public ?array $toProve = null)
    {
    }

    /** @param array{hash: string, now: string, idle: string} $asked */
    public function toProve(array $asked): self
    {
        return new self($this->id, $this->teamId, $this->name, $asked);
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
