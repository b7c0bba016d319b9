<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Repository;

use ChalkLadder\Server\Media\Entity\Upload;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<Upload> */
final readonly class UploadRepository extends Repository
{
    protected function kind(): string
    {
        return Upload::class;
    }
}
