<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\Marks;

/** Labels laid on a picture. */
final readonly class LabelsResponse implements Response
{
    /** @param array<string, list<BigRational>> $labels [x, y] by the label's id */
    public function __construct(public array $labels)
    {
    }

    public static function members(): array
    {
        return ['labels'];
    }

    public static function read(Node $node): self
    {
        $labels = [];
        $all = $node->child('labels');
        foreach ($all->keys(Marks::MOST) as $id) {
            $labels[$id] = Marks::numbers($all->child($id), 2);
        }

        return new self($labels);
    }

    public function isBlank(): bool
    {
        return $this->labels === [];
    }

    public function toArray(): array
    {
        return $this->labels === [] ? self::NOTHING : ['labels' => Marks::write($this->labels)];
    }
}
