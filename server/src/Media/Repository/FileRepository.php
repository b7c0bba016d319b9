<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Repository;

use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<MediaFile> */
final readonly class FileRepository extends Repository
{
    /** @param list<string> $ids each once */
    public function hasAll(string $teamId, array $ids): bool
    {
        return $this->entities->getRepository(MediaFile::class)->count(['teamId' => $teamId, 'id' => $ids]) === count($ids);
    }

    protected function kind(): string
    {
        return MediaFile::class;
    }
}
