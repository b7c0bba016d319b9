<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Entity;

use Doctrine\ORM\Mapping as ORM;

/** Somebody who has been handed it. */
#[ORM\Entity]
#[ORM\Table(name: 'handout_student')]
class HandoutStudent
{
    /** Since when this student is to do nothing; null where they may go on. */
    #[ORM\Column(name: 'held_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $heldAt = null;

    #[ORM\Column(name: 'held_words', type: 'text')]
    protected string $heldWords = '';

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

    public function isHeld(): bool
    {
        return $this->heldAt !== null;
    }

    /** Who is held already is told other words, and is held as long as they have been. */
    public function hold(string $words, \DateTimeImmutable $at): void
    {
        $this->heldAt ??= $at;
        $this->heldWords = $words;
    }

    /** @return int seconds that they were held */
    public function release(\DateTimeImmutable $at): int
    {
        $held = $this->heldAt === null ? 0 : max(0, $at->getTimestamp() - $this->heldAt->getTimestamp());
        $this->heldAt = null;
        $this->heldWords = '';

        return $held;
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
