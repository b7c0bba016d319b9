<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Entity;

use Doctrine\ORM\Mapping as ORM;

/** A student's place in a class. It stays when they leave, so that they can come back to it. */
#[ORM\Entity]
#[ORM\Table(name: 'class_member')]
class Member
{
    #[ORM\Column(name: 'left_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $leftAt = null;

    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'members')]
        #[ORM\JoinColumn(name: 'class_id', nullable: false)]
        protected SchoolClass $class,
        #[ORM\Id]
        #[ORM\ManyToOne(cascade: ['persist'])]
        #[ORM\JoinColumn(name: 'student_id', nullable: false)]
        protected Student $student,
        #[ORM\Column(name: 'joined_at', type: 'moment')]
        protected \DateTimeImmutable $joinedAt,
    ) {
    }

    public function student(): Student
    {
        return $this->student;
    }

    public function joinedAt(): \DateTimeImmutable
    {
        return $this->joinedAt;
    }

    public function leftAt(): ?\DateTimeImmutable
    {
        return $this->leftAt;
    }

    public function isHere(): bool
    {
        return $this->leftAt === null;
    }

    public function leave(\DateTimeImmutable $at): void
    {
        $this->leftAt = $at;
    }

    public function comeBack(): void
    {
        $this->leftAt = null;
    }
}
