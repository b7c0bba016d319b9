<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use Doctrine\ORM\Mapping as ORM;

/** Somebody who has been handed it. */
#[ORM\Entity]
#[ORM\Table(name: 'handout_student')]
class HandoutStudent
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'students')]
        #[ORM\JoinColumn(name: 'handout_id', nullable: false)]
        protected Handout $handout,
        #[ORM\Id]
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(name: 'extra_minutes', type: 'integer')]
        protected int $extraMinutes = 0,
    ) {
    }

    public function id(): string
    {
        return $this->studentId;
    }

    public function is(string $studentId): bool
    {
        return $this->studentId === $studentId;
    }

    public function extraMinutes(): int
    {
        return $this->extraMinutes;
    }

    public function setExtraMinutes(int $minutes): void
    {
        $this->extraMinutes = $minutes;
    }
}
