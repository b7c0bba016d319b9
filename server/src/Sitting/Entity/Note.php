<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** Words of a teacher to one student, or to all, while they are at work. */
#[ORM\Entity]
#[ORM\Table(name: 'lesson_note')]
class Note implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Column(name: 'taken_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $takenAt = null;

    /**
     * @param string      $id        made by the client, so that one sent twice is written once
     * @param string|null $studentId null for all
     * @param string|null $entry     the question that it is about
     * @param string|null $fileId    what is spoken, instead of words or beside them
     */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'student_id', type: 'guid', nullable: true)]
        protected ?string $studentId,
        #[ORM\Column(type: 'text', nullable: true)]
        protected ?string $entry,
        #[ORM\Column(type: 'text')]
        protected string $words,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
        #[ORM\Column(name: 'file_id', type: 'guid', nullable: true)]
        protected ?string $fileId = null,
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

    public function handoutId(): string
    {
        return $this->handoutId;
    }

    /** Nobody sees it any more. */
    public function takeBack(\DateTimeImmutable $at): void
    {
        $this->takenAt ??= $at;
    }
}
