<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ForgetsStudents;

/** Drops the questions that an erased student wrote; one that was let in stays in the bank as the team's, and names nobody. */
final readonly class Forgetting extends ReadModel implements ForgetsStudents
{
    public function forget(string $studentId): void
    {
        $this->run('DELETE FROM proposal WHERE student_id = :id', ['id' => $studentId]);
    }
}
