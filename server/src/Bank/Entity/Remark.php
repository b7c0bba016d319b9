<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Entity;

use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A colleague's note pinned to a part of a question or paper; open until it is settled. */
#[ORM\Entity]
#[ORM\Table(name: 'remark')]
class Remark implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'item_id', type: 'guid', nullable: true)]
    protected ?string $questionId = null;

    #[ORM\Column(name: 'paper_id', type: 'guid', nullable: true)]
    protected ?string $paperId = null;

    #[ORM\Column(name: 'settled_by', type: 'guid', nullable: true)]
    protected ?string $settledBy = null;

    #[ORM\Column(name: 'settled_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $settledAt = null;

    /**
     * @param string $id   made by the client, so that one sent twice stands once
     * @param string $subject id of the question or paper
     * @param string $part what it is pinned to: of a question `prompt`, or a line of the key by its name; of a paper the id of an entry or
     *                     section; '' for the whole
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        RemarkOn $on,
        string $subject,
        #[ORM\Column(type: 'text')]
        protected string $part,
        #[ORM\Column(type: 'text')]
        protected string $text,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
        match ($on) {
            RemarkOn::Question => $this->questionId = $subject,
            RemarkOn::Paper => $this->paperId = $subject,
        };
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function on(): RemarkOn
    {
        return $this->paperId === null ? RemarkOn::Question : RemarkOn::Paper;
    }

    public function subject(): string
    {
        return $this->paperId ?? $this->questionId ?? '';
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
