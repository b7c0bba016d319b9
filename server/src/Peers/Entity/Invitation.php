<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** A class is asked to write questions on a topic, for as long as it is open. */
#[ORM\Entity]
#[ORM\Table(name: 'invitation')]
class Invitation implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'closed_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $closedAt = null;

    /** @param string $id made by the client, so that one sent twice is opened once */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'class_id', type: 'guid')]
        protected string $classId,
        #[ORM\Column(type: 'text')]
        protected string $topic,
        #[ORM\Column(name: 'opened_by', type: 'guid')]
        protected string $openedBy,
        #[ORM\Column(name: 'opened_at', type: 'moment')]
        protected \DateTimeImmutable $openedAt,
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

    /** While it is, its class writes; what is written already can be read, answered and judged afterwards too. */
    public function isOpen(): bool
    {
        return $this->closedAt === null;
    }

    public function close(\DateTimeImmutable $at): void
    {
        $this->closedAt ??= $at;
    }

    public function reopen(): void
    {
        $this->closedAt = null;
    }
}
