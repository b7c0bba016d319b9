<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Entity;

use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A lead, teacher or marker, as an account. */
#[ORM\Entity]
#[ORM\Table(name: 'staff')]
class StaffMember implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'password_hash', type: 'text')]
    protected string $passwordHash = '';

    #[ORM\Column(name: 'left_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $leftAt = null;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $email,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'text', enumType: Role::class)]
        protected Role $role,
    ) {
        $this->id = Id::fresh();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function role(): Role
    {
        return $this->role;
    }

    /** Whoever has left signs in no more; what they made keeps their name. */
    public function isHere(): bool
    {
        return $this->leftAt === null;
    }

    public function welcome(string $by): void
    {
        $this->note(new Acted($this->teamId, $by, 'add', 'staff', $this->id));
    }

    public function setRole(Role $role, string $by): void
    {
        if ($role !== $this->role) {
            $this->role = $role;
            $this->note(new Acted($this->teamId, $by, 'set role', 'staff', $this->id, ['to' => $role->value]));
        }
    }

    public function leave(string $by, \DateTimeImmutable $at): void
    {
        $this->leftAt = $at;
        $this->note(new Acted($this->teamId, $by, 'leave team', 'staff', $this->id));
    }

    public function comeBack(string $by): void
    {
        $this->leftAt = null;
        $this->note(new Acted($this->teamId, $by, 'rejoin team', 'staff', $this->id));
    }

    /** The account as the framework's security knows it. */
    public function user(): StaffUser
    {
        return new StaffUser($this->id, $this->teamId, $this->name, $this->role, $this->passwordHash);
    }

    /** @param string $by who sets it; '' for the first one */
    public function setPassword(string $hash, string $by = ''): void
    {
        $this->passwordHash = $hash;
        if ($by !== '') {
            $this->note(new Acted($this->teamId, $by, 'set password', 'staff', $this->id));
        }
    }
}
