<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api\View;

final readonly class FileView
{
    public function __construct(public string $id, public string $mediaType)
    {
    }
}
