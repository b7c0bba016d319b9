<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Entity;

use Doctrine\ORM\Mapping as ORM;

#[ORM\Entity]
#[ORM\Table(name: 'grouping_member')]
class GroupMember
{
    /** @param string $reason why the student is there, in one sentence */
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'members')]
        #[ORM\JoinColumn(name: 'group_id', nullable: false)]
        protected Group $group,
        #[ORM\Id]
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(type: 'text')]
        protected string $reason,
    ) {
    }

    public function studentId(): string
    {
        return $this->studentId;
    }

    public function explain(string $reason): void
    {
        $this->reason = $reason;
    }
}
