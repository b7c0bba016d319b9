<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Entity;

use Doctrine\ORM\Mapping as ORM;

/** What one marker gave to an answer that two have marked, each without seeing the other's (docs/decisions/second-marks.md). */
#[ORM\Entity]
#[ORM\Table(name: 'moderation_mark')]
class SecondMark
{
    /** @param list<int|null> $levels index of the level for each criterion */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(name: 'sitting_id', type: 'guid')]
        protected string $sittingId,
        #[ORM\Id]
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        protected int $try,
        #[ORM\Id]
        #[ORM\Column(name: 'staff_id', type: 'guid')]
        protected string $staffId,
        #[ORM\Column(type: 'detail')]
        protected array $levels,
        #[ORM\Column(type: 'moment')]
        protected \DateTimeImmutable $at,
    ) {
    }

    /** @param list<int|null> $levels */
    public function change(array $levels, \DateTimeImmutable $at): void
    {
        $this->levels = $levels;
        $this->at = $at;
    }
}
