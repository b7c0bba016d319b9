<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Core\Item\Response;
use Doctrine\ORM\Mapping as ORM;

/** An answer that came too late to count. It is not lost: the teacher sees it beside the work. */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'late_response')]
class LateResponse
{
    public function __construct(
        #[ORM\Id]
        #[ORM\ManyToOne(inversedBy: 'lateResponses')]
        #[ORM\JoinColumn(name: 'sitting_id', nullable: false)]
        protected Sitting $sitting,
        #[ORM\Id]
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Id]
        #[ORM\Column(type: 'integer')]
        protected int $try,
        #[ORM\Id]
        #[ORM\Column(type: 'bigint')]
        protected int $counter,
        #[ORM\Column(type: 'response')]
        protected Response $value,
        #[ORM\Column(name: 'received_at', type: 'moment')]
        protected \DateTimeImmutable $receivedAt,
    ) {
    }

    public function isTheSameAs(self $other): bool
    {
        return [$this->entry, $this->try, $this->counter] === [$other->entry, $other->try, $other->counter];
    }
}
