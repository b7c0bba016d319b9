<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/**
 * When a handout is there for its students. Every rule about it stands here, and in SQL in
 * {@see ReadModel\HandoutTables}, where a statement has to decide by itself.
 */
final readonly class Window
{
    /** Seconds after the closing time in which what was typed before it may still arrive. */
    public const GRACE = 60;

    public function __construct(
        public bool $visible = true,
        public ?\DateTimeImmutable $opensAt = null,
        public ?\DateTimeImmutable $closesAt = null,
        public ?\DateTimeImmutable $closedAt = null,
    ) {
    }

    /** The same for a student who has more time; a handout that somebody has closed is closed for everybody. */
    public function withExtra(int $minutes): self
    {
        return new self($this->visible, $this->opensAt, $this->closesAt?->add(new \DateInterval("PT{$minutes}M")), $this->closedAt);
    }

    /** Work may be begun. */
    public function isOpenAt(\DateTimeImmutable $now): bool
    {
        return $this->statusAt($now) === HandoutStatus::Open;
    }

    public function isClosedAt(\DateTimeImmutable $now): bool
    {
        return $this->closedAt !== null || ($this->closesAt !== null && $this->closesAt <= $now);
    }

    public function isEarlyAt(\DateTimeImmutable $now): bool
    {
        return $this->opensAt !== null && $this->opensAt > $now;
    }

    /** What students have begun may still change: until it is closed, or shortly after its closing time. */
    public function takesAnswersAt(\DateTimeImmutable $now): bool
    {
        return $this->visible && $this->closedAt === null && !$this->isDueAt($now);
    }

    /** Its closing time and the grace are over, and nobody has closed it: the clock does. */
    public function isDueAt(\DateTimeImmutable $now): bool
    {
        return $this->closedAt === null && $this->closesAt !== null && $this->closesAt->modify('+'.self::GRACE.' seconds') <= $now;
    }

    public function statusAt(\DateTimeImmutable $now): HandoutStatus
    {
        return match (true) {
            $this->isClosedAt($now) => HandoutStatus::Closed,
            !$this->visible => HandoutStatus::Hidden,
            $this->isEarlyAt($now) => HandoutStatus::Scheduled,
            default => HandoutStatus::Open,
        };
    }
}
