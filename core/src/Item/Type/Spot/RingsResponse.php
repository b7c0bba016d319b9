<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Spot;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Response\Marks;

/** Rings on a picture. */
final readonly class RingsResponse implements Response
{
    /** @param list<list<BigRational>> $rings [x, y, rx, ry]: centre and half-axes */
    public function __construct(public array $rings)
    {
    }

    public static function members(): array
    {
        return ['rings'];
    }

    public static function read(Node $node): self
    {
        return new self(Marks::read($node, 'rings', 4));
    }

    public function isBlank(): bool
    {
        return $this->rings === [];
    }

    public function toArray(): array
    {
        return $this->rings === [] ? self::NOTHING : ['rings' => Marks::write($this->rings)];
    }
}
