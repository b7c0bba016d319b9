<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Expression;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Style;
use ChalkLadder\Core\Item\PlainType;

/** An algebraic expression or equation. */
final class ExpressionType extends PlainType
{
    public function readRule(Node $node): ExpressionRule
    {
        return ExpressionRule::read($node);
    }

    public function notes(): ExpressionNotes
    {
        return new ExpressionNotes();
    }

    public function seconds(): float
    {
        return 90.0;
    }

    public function styled(array $rule, Style $style): array
    {
        return $rule + ['style' => $style->value];
    }
}
