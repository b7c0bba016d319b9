<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class FolderView
{
    /**
     * @param bool $own       seen by the asker alone
     * @param int  $questions that lie in it
     */
    public function __construct(public string $id, public string $name, public bool $own, public int $questions)
    {
    }
}
