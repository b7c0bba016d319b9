<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Recording;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\FilesResponse;

/** Sound or film, marked with a rubric. */
final class RecordingType extends PlainType
{
    public function readRule(Node $node): RecordingRule
    {
        return RecordingRule::read($node);
    }

    public function responses(): array
    {
        return [FilesResponse::class];
    }

    public function seconds(): float
    {
        return 240.0;
    }
}
