<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media;

use ChalkLadder\Server\Media\Entity\MediaFile;
use ChalkLadder\Server\Media\ReadModel\FileList;
use ChalkLadder\Server\Platform\Storage\TeamBytes;

/** What a team's files hold, for backups. */
final readonly class TeamFiles implements TeamBytes
{
    public function __construct(private FileList $list, private Shelf $shelf)
    {
    }

    public function ofTeam(string $teamId): iterable
    {
        foreach ($this->list->hashes($teamId) as $hash => $pages) {
            $key = MediaFile::keyOf($teamId, $hash);
            yield $key => $this->shelf->bytes($key);
            for ($page = 1; $page <= (int) $pages; ++$page) {
                yield "$key-$page.png" => $this->shelf->bytes("$key-$page.png");
            }
        }
    }

    public function put(string $name, string $bytes): void
    {
        if (preg_match('~^[0-9a-f-]{36}/[0-9a-f]{2}/[0-9a-f]{64}(?:-\d{1,3}\.png)?$~D', $name) !== 1) {
            throw new \UnexpectedValueException("$name is no name of a file.");
        }
        $this->shelf->write($name, $bytes);
    }
}
