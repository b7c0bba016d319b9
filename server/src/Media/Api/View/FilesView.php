<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api\View;

final readonly class FilesView
{
    /** @param list<FileView> $files */
    public function __construct(public array $files)
    {
    }
}
