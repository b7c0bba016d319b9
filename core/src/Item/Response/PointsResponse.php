<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Response;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;

/** Points on a picture or grid. */
final readonly class PointsResponse implements Response
{
    /** @param list<list<BigRational>> $points [x, y] */
    public function __construct(public array $points)
    {
    }

    public static function members(): array
    {
        return ['points'];
    }

    public static function read(Node $node): self
    {
        return new self(Marks::read($node, 'points', 2));
    }

    public function isBlank(): bool
    {
        return $this->points === [];
    }

    public function toArray(): array
    {
        return $this->points === [] ? self::NOTHING : ['points' => Marks::write($this->points)];
    }
}
