<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel\MovedRows;
use ChalkLadder\Server\Roster\MovesWork;

/** Questions that two records of one student have written. What they answered of others' stays as it was given. */
final readonly class MovedProposals extends MovedRows implements MovesWork
{
    public function room(): string
    {
        return 'peers';
    }

    public function move(string $from, string $into): array
    {
        return ['proposals' => $this->moveRows('proposal', 'student_id', $from, $into)];
    }

    public function moveBack(string $from, string $into, array $moved): void
    {
        $this->moveRowsBack('proposal', 'student_id', $from, $into, self::keys($moved, 'proposals'));
    }
}
