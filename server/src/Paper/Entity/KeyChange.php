<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Entity;

use ChalkLadder\Server\Platform\Storage\Id;
use Doctrine\ORM\Mapping as ORM;

/** A question's answer rule, changed after it was published. */
#[ORM\Entity]
#[ORM\Table(name: 'key_change')]
class KeyChange
{
    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'undone_by', type: 'guid', nullable: true)]
    protected ?string $undoneBy = null;

    #[ORM\Column(name: 'undone_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $undoneAt = null;

    /**
     * @param array<array-key, mixed> $ruleBefore as it is written
     * @param array<array-key, mixed> $ruleAfter
     */
    public function __construct(
        #[ORM\ManyToOne(inversedBy: 'keyChanges')]
        #[ORM\JoinColumn(name: 'edition_id', nullable: false)]
        protected Edition $edition,
        #[ORM\Column(type: 'text')]
        protected string $entry,
        #[ORM\Column(name: 'rule_before', type: 'detail')]
        protected array $ruleBefore,
        #[ORM\Column(name: 'rule_after', type: 'detail')]
        protected array $ruleAfter,
        #[ORM\Column(type: 'text')]
        protected string $reason,
        #[ORM\Column(name: 'made_by', type: 'guid')]
        protected string $madeBy,
        #[ORM\Column(name: 'made_at', type: 'moment')]
        protected \DateTimeImmutable $madeAt,
    ) {
        $this->id = Id::fresh();
    }

    public function id(): string
    {
        return $this->id;
    }

    public function entry(): string
    {
        return $this->entry;
    }

    /** @return array<array-key, mixed> as it is written */
    public function ruleBefore(): array
    {
        return $this->ruleBefore;
    }

    public function isInForce(): bool
    {
        return $this->undoneAt === null;
    }

    public function undo(string $by, \DateTimeImmutable $at): void
    {
        $this->undoneBy = $by;
        $this->undoneAt = $at;
    }
}
