<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A search of the bank that one of the team keeps under a name. */
#[ORM\Entity]
#[ORM\Table(name: 'kept_search')]
class KeptSearch implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    /** @param string $query as it stands in the address of the bank */
    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'staff_id', type: 'guid')]
        protected string $staffId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(type: 'text')]
        protected string $query,
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

    public function isOf(string $staffId): bool
    {
        return $this->staffId === $staffId;
    }

    public function lookFor(string $query): void
    {
        $this->query = $query;
    }
}
