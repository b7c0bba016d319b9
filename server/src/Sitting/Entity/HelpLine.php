<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use ChalkLadder\Core\Sitting\Personal;
use Doctrine\ORM\Mapping as ORM;

/** What one of two students says to the other. Where it is held back, it waits for their teacher. */
#[ORM\Entity]
#[ORM\Table(name: 'help_line')]
class HelpLine
{
    #[ORM\Column(name: 'let_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $letAt = null;

    /** @param Personal|null $held what in it tells who somebody is */
    public function __construct(
        #[ORM\Id]
        #[ORM\Column(type: 'guid')]
        protected string $id,
        #[ORM\ManyToOne(inversedBy: 'lines')]
        #[ORM\JoinColumn(name: 'help_id', nullable: false)]
        protected Help $help,
        #[ORM\Column(name: 'by_helper', type: 'boolean')]
        protected bool $byHelper,
        #[ORM\Column(type: 'text')]
        protected string $words,
        #[ORM\Column(name: 'said_at', type: 'moment')]
        protected \DateTimeImmutable $saidAt,
        #[ORM\Column(type: 'text', nullable: true, enumType: Personal::class)]
        protected ?Personal $held,
    ) {
    }

    public function id(): string
    {
        return $this->id;
    }

    public function letThrough(\DateTimeImmutable $at): void
    {
        if ($this->held !== null) {
            $this->letAt ??= $at;
        }
    }
}
