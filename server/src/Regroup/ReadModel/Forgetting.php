<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ForgetsStudents;

/** Drops why an erased student stood in a group. */
final readonly class Forgetting extends ReadModel implements ForgetsStudents
{
    public function forget(string $studentId): void
    {
        $this->run("UPDATE grouping_member SET reason = '' WHERE student_id = :id", ['id' => $studentId]);
    }
}
