<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Repository;

use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Platform\Storage\Repository;

/** @extends Repository<MediaFile> */
final readonly class FileRepository extends Repository
{
    /**
     * The team's own, which papers and questions show.
     *
     * @param list<string> $ids each once
     */
    public function hasAll(string $teamId, array $ids): bool
    {
        return $this->entities->getRepository(MediaFile::class)
            ->count(['teamId' => $teamId, 'id' => $ids, 'sittingId' => null]) === count($ids);
    }

    /** @param list<string> $ids each once */
    public function hasAllOfSitting(string $sittingId, array $ids): bool
    {
        return $this->entities->getRepository(MediaFile::class)->count(['sittingId' => $sittingId, 'id' => $ids]) === count($ids);
    }

    /**
     * @param list<string> $ids
     *
     * @return list<MediaFile> those of the team that there are
     */
    public function all(string $teamId, array $ids): array
    {
        return $this->entities->getRepository(MediaFile::class)->findBy(['teamId' => $teamId, 'id' => $ids]);
    }

    protected function kind(): string
    {
        return MediaFile::class;
    }
}
