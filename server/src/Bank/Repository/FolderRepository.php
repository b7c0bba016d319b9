<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Repository;

use ChalkLadder\Server\Bank\Entity\Folder;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Folder> */
final readonly class FolderRepository extends Repository
{
    public function remove(Folder $folder): void
    {
        $this->entities->remove($folder);
    }

    protected function kind(): string
    {
        return Folder::class;
    }
}
