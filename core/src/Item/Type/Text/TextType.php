<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Text;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;

/** Short text, compared with the forms that are accepted. */
final class TextType extends PlainType
{
    public function readRule(Node $node): TextRule
    {
        return TextRule::read($node);
    }

    public function notes(): TextNotes
    {
        return new TextNotes();
    }

    public function isDragged(): bool
    {
        return true;
    }

    public function seconds(): float
    {
        return 30.0;
    }
}
