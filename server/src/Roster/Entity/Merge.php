<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Entity;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** Two records of one student were put together; what was moved is kept, so that they can be parted again. */
#[ORM\Entity]
#[ORM\Table(name: 'student_merge')]
class Merge implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'undone_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $undoneAt = null;

    /** @param array<array-key, mixed> $moved by room */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'from_id', type: 'guid')]
        protected string $fromId,
        #[ORM\Column(name: 'into_id', type: 'guid')]
        protected string $intoId,
        #[ORM\Column(type: 'detail')]
        protected array $moved,
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

    public function fromId(): string
    {
        return $this->fromId;
    }

    public function intoId(): string
    {
        return $this->intoId;
    }

    /** @return array<array-key, mixed> what a room has moved */
    public function movedBy(string $room): array
    {
        $moved = $this->moved[$room] ?? [];

        return is_array($moved) ? $moved : [];
    }

    public function undo(\DateTimeImmutable $at): void
    {
        if ($this->undoneAt !== null) {
            throw Problem::conflict('These two have been parted already.', 'Look at the list again.');
        }
        $this->undoneAt = $at;
    }
}
