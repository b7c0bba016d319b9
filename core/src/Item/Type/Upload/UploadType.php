<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item\Type\Upload;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Item\PlainType;
use ChalkLadder\Core\Item\Response\FilesResponse;

/** Files of the student’s own, marked with a rubric. */
final class UploadType extends PlainType
{
    public function readRule(Node $node): UploadRule
    {
        return UploadRule::read($node);
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
