<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** Teams of the students of a handout, which climb by what they have right until their teacher stops it. */
#[ORM\Entity]
#[ORM\Table(name: 'climb')]
class Climb implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'stopped_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $stoppedAt = null;

    /** @param array<array-key, mixed> $teams each with its `name` and its `students`, ids */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(type: 'detail')]
        protected array $teams,
        #[ORM\Column(name: 'begun_by', type: 'guid')]
        protected string $begunBy,
        #[ORM\Column(name: 'begun_at', type: 'moment')]
        protected \DateTimeImmutable $begunAt,
    ) {
    }

    public function id(): string
    {
        return $this->handoutId;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    /**
     * With other teams, or again after it was stopped.
     *
     * @param array<array-key, mixed> $teams as they are constructed with
     */
    public function goOnWith(array $teams): void
    {
        $this->teams = $teams;
        $this->stoppedAt = null;
    }

    public function stop(\DateTimeImmutable $at): void
    {
        $this->stoppedAt ??= $at;
    }
}
