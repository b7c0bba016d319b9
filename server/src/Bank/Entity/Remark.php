<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A colleague's note pinned to a part of a question; open until it is settled. */
#[ORM\Entity]
#[ORM\Table(name: 'item_remark')]
class Remark implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'settled_by', type: 'guid', nullable: true)]
    protected ?string $settledBy = null;

    #[ORM\Column(name: 'settled_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $settledAt = null;

    /**
     * @param string $id   made by the client, so that one sent twice stands once
     * @param string $part what it is pinned to: `prompt`, or a line of the key by its name; '' for the whole
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'item_id', type: 'guid')]
        protected string $questionId,
        #[ORM\Column(type: 'text')]
        protected string $part,
        #[ORM\Column(type: 'text')]
        protected string $text,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function questionId(): string
    {
        return $this->questionId;
    }

    /** Whoever wrote it may take it out again; others settle it. */
    public function isOf(string $staffId): bool
    {
        return $this->madeBy === $staffId;
    }

    public function settle(string $by, \DateTimeImmutable $at): void
    {
        if ($this->settledAt === null) {
            $this->settledBy = $by;
            $this->settledAt = $at;
        }
    }

    public function reopen(): void
    {
        $this->settledBy = $this->settledAt = null;
    }
}
