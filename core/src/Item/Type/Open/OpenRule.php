<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Open;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Defect;
use ChalkLadder\Core\Item\ItemType;
use ChalkLadder\Core\Item\RubricRule;
use ChalkLadder\Core\Item\Showing;

/** Long text, marked with a rubric; files may come with it. */
final readonly class OpenRule extends RubricRule
{
    private const MOST_WORDS = 5000;

    /**
     * @param list<Criterion> $criteria
     * @param int|null        $least    words that are asked for; said to the student, never enforced
     * @param list<string>    $starters beginnings of sentences to go on from
     */
    public function __construct(array $criteria, public ?int $least = null, public ?int $most = null, public array $starters = [])
    {
        parent::__construct($criteria);
    }

    public static function read(Node $node): self
    {
        return new self(
            self::criteriaOf($node),
            $node->intOrNull('least', 1, self::MOST_WORDS),
            $node->intOrNull('most', 1, self::MOST_WORDS),
            $node->texts('starters', 12, 120),
        );
    }

    public function type(): ItemType
    {
        return ItemType::Open;
    }

    public function isProse(): bool
    {
        return true;
    }

    public function face(Showing $showing): array
    {
        return parent::face($showing) + $this->frame();
    }

    public function toArray(): array
    {
        return parent::toArray() + $this->frame();
    }

    /** @return array{least: int|null, most: int|null, starters: list<string>} */
    private function frame(): array
    {
        return ['least' => $this->least, 'most' => $this->most, 'starters' => $this->starters];
    }

    public function defects(): array
    {
        return $this->least !== null && $this->most !== null && $this->least > $this->most
            ? [...parent::defects(), Defect::blocking('At least more words are asked for than at most.')]
            : parent::defects();
    }
}
