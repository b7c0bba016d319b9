<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** What a question is evidence of. Skills form a tree. */
#[ORM\Entity]
#[ORM\Table(name: 'skill')]
class Skill implements Root, TeamOwned
{
    use Happenings;
    use Merged;

    private const KIND = 'skill';

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'text')]
        protected string $name,
        #[ORM\Column(name: 'parent_id', type: 'guid', nullable: true)]
        protected ?string $parentId,
        string $by,
    ) {
        $this->id = Id::fresh();
        $this->note(new Acted($teamId, $by, 'add', 'skill', $this->id, ['name' => $name]));
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

    public function parentId(): ?string
    {
        return $this->parentId;
    }

    public function rename(string $name, string $by): void
    {
        if ($name !== $this->name) {
            $this->note(new Acted($this->teamId, $by, 'rename', 'skill', $this->id, ['from' => $this->name]));
            $this->name = $name;
        }
    }

    /** Puts it below another one, or at the top of the tree. */
    public function moveBelow(?string $parentId, string $by): void
    {
        if ($parentId !== $this->parentId) {
            $this->note(new Acted($this->teamId, $by, 'move', 'skill', $this->id));
            $this->parentId = $parentId;
        }
    }
}
