<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Order;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\Response;

/** Things in the order given. */
final readonly class OrderResponse implements Response
{
    private const MOST = 100;

    /** @param list<string> $order ids */
    public function __construct(public array $order)
    {
    }

    public static function members(): array
    {
        return ['order'];
    }

    public static function read(Node $node): self
    {
        return new self($node->texts('order', self::MOST, 40));
    }

    public function isBlank(): bool
    {
        return $this->order === [];
    }

    public function toArray(): array
    {
        return $this->order === [] ? self::NOTHING : ['order' => $this->order];
    }
}
