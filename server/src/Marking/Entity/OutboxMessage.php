<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Entity;

use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use Doctrine\ORM\Mapping as ORM;

/** What would have been sent to a student. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'outbox')]
class OutboxMessage implements Root, TeamOwned
{
    use Happenings;

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(type: 'text')]
        protected string $subject,
        #[ORM\Column(type: 'text')]
        protected string $body,
        #[ORM\Column(name: 'sent_by', type: 'guid')]
        protected string $sentBy,
        #[ORM\Column(name: 'sent_at', type: 'moment')]
        protected \DateTimeImmutable $sentAt,
    ) {
        $this->id = Id::fresh();
    }

    public function teamId(): string
    {
        return $this->teamId;
    }
}
