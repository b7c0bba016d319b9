<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Open;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\FilesResponse;
use ChalkLadder\Core\Item\Response\TextResponse;

/** Long text, marked with a rubric; files may come with it. */
final class OpenType extends PlainType
{
    public function readRule(Node $node): OpenRule
    {
        return OpenRule::read($node);
    }

    public function responses(): array
    {
        return [TextResponse::class, FilesResponse::class];
    }

    public function notes(): OpenNotes
    {
        return new OpenNotes();
    }

    public function seconds(): float
    {
        return 240.0;
    }
}
