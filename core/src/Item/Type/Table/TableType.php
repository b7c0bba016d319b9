<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Table;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\ComposedType;

/** Cells of a grid. */
final class TableType extends ComposedType
{
    public function readRule(Node $node): TableRule
    {
        return TableRule::read($node);
    }

    public function responses(): array
    {
        return [TableResponse::class];
    }

    public function notes(): TableNotes
    {
        return new TableNotes();
    }

    public function seconds(): float
    {
        return 90.0;
    }

    protected function parts(): string
    {
        return 'cells';
    }
}
