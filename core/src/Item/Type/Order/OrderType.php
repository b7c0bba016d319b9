<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Order;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;

/** Things put in order. */
final class OrderType extends PlainType
{
    public function readRule(Node $node): OrderRule
    {
        return OrderRule::read($node);
    }

    public function responses(): array
    {
        return [OrderResponse::class];
    }

    public function notes(): OrderNotes
    {
        return new OrderNotes();
    }

    public function seconds(): float
    {
        return 60.0;
    }

    public function cleaned(array $rule, \Closure $clean): array
    {
        return self::cleanedList($rule, 'things', $clean);
    }
}
