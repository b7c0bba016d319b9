<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class FoldersView
{
    /**
     * @param list<FolderView> $folders
     * @param string|null      $made    the id of the one that was just made
     * @param list<string>     $put     ids of the questions that came in by this act
     */
    public function __construct(public array $folders, public ?string $made = null, public array $put = [])
    {
    }
}
