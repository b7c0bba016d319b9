<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Gaps;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\ComposedType;

/** Inputs inside a passage. */
final class GapsType extends ComposedType
{
    public function readRule(Node $node): GapsRule
    {
        return GapsRule::read($node);
    }

    public function responses(): array
    {
        return [GapsResponse::class];
    }

    public function notes(): GapsNotes
    {
        return new GapsNotes();
    }

    public function seconds(): float
    {
        return 90.0;
    }

    protected function parts(): string
    {
        return 'gaps';
    }
}
