<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Entity;

use Brick\Math\BigRational;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Sitting\MarkedByHand;
use Doctrine\ORM\Mapping as ORM;

/**
 * A change of a mark. Events are only ever added; those of a changed key are written by {@see
 * \ChalkLadder\Server\Marking\ReadModel\MarkHistory}.
 */
#[ORM\Entity(readOnly: true)]
#[ORM\Table(name: 'mark_event')]
class MarkEvent
{
    public const BY_HAND = 'hand';
    /** A person against the machine. */
    public const OVERRIDE = 'override';
    public const KEY_CHANGE = 'key change';
    public const KEY_UNDO = 'key undo';
    public const MENDED_PAPER = 'mended paper';

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(name: 'sitting_id', type: 'guid')]
    protected string $sittingId;

    #[ORM\Column(type: 'text')]
    protected string $entry;

    #[ORM\Column(type: 'integer')]
    protected int $try;

    #[ORM\Column(name: 'before_credit', type: 'exact', nullable: true)]
    protected ?BigRational $before;

    #[ORM\Column(name: 'after_credit', type: 'exact', nullable: true)]
    protected ?BigRational $after;

    #[ORM\Column(type: 'text')]
    protected string $comment;

    /** @var list<int|null>|null */
    #[ORM\Column(type: 'detail', nullable: true)]
    protected ?array $levels;

    #[ORM\Column(name: 'staff_id', type: 'guid')]
    protected string $staffId;

    #[ORM\Column(type: 'moment')]
    protected \DateTimeImmutable $at;

    #[ORM\Column(name: 'key_change_id', type: 'guid', nullable: true)]
    protected ?string $keyChangeId = null;

    public function __construct(
        MarkedByHand $marked,
        #[ORM\Column(type: 'text')]
        protected string $kind,
    ) {
        $this->id = Id::fresh();
        $this->sittingId = $marked->sitting->id;
        $this->entry = $marked->before->entry;
        $this->try = $marked->before->try;
        $this->before = $marked->before->credit();
        $this->after = $marked->mark->credit;
        $this->comment = $marked->mark->comment;
        $this->levels = $marked->mark->levels;
        $this->staffId = $marked->mark->by;
        $this->at = $marked->mark->at;
    }
}
