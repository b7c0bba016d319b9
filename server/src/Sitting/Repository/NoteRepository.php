<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Repository;

use ChalkLadder\Server\Platform\Storage\Repository;
use ChalkLadder\Server\Sitting\Entity\Note;

/** @extends Repository<Note> */
final readonly class NoteRepository extends Repository
{
    protected function kind(): string
    {
        return Note::class;
    }
}
