<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Recording;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;
use ChalkLadder\Core\Item\Showing;

/** Sound or film, marked with a rubric. */
final readonly class RecordingRule extends RubricRule
{
    private const SHORTEST = 5;
    private const LONGEST = 600;

    /**
     * @param list<Criterion> $criteria
     * @param 'sound'|'film'  $medium
     * @param int             $seconds  at most, 5 to 600
     */
    public function __construct(array $criteria, public string $medium, public int $seconds)
    {
        parent::__construct($criteria);
    }

    public static function read(Node $node): self
    {
        return new self(
            self::criteriaOf($node),
            $node->oneOf('medium', ['sound', 'film'], 'sound') === 'film' ? 'film' : 'sound',
            $node->int('seconds', self::SHORTEST, self::LONGEST, 120),
        );
    }

    public function type(): ItemType
    {
        return ItemType::Recording;
    }

    public function face(Showing $showing): array
    {
        return parent::face($showing) + ['medium' => $this->medium, 'seconds' => $this->seconds];
    }

    public function toArray(): array
    {
        return parent::toArray() + ['medium' => $this->medium, 'seconds' => $this->seconds];
    }
}
