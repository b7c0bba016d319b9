<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A student asks for the teacher. A sitting has one open at most; the database sees to that. */
#[ORM\Entity]
#[ORM\Table(name: 'student_call')]
class Call implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'settled_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $settledAt = null;

    /** Null where the student took it back. */
    #[ORM\Column(name: 'settled_by', type: 'guid', nullable: true)]
    protected ?string $settledBy = null;

    /**
     * @param string $id   made by the client, so that one sent twice is made once
     * @param string $kind of {@see \ChalkLadder\Server\Sitting\Api\Input\CallInput::KINDS}
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'sitting_id', type: 'guid')]
        protected string $sittingId,
        #[ORM\Column(type: 'text')]
        protected string $kind,
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Column(type: 'text')]
        protected string $words,
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

    public function settle(?string $by, \DateTimeImmutable $at): void
    {
        if ($this->settledAt === null) {
            $this->settledAt = $at;
            $this->settledBy = $by;
        }
    }

    /** Open again: it was settled by a slip of the hand. */
    public function unsettle(): void
    {
        $this->settledAt = $this->settledBy = null;
    }
}
