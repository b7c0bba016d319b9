<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ForgetsStudents;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** Drops what was said to an erased student. */
final readonly class Forgetting extends ReadModel implements ForgetsStudents
{
    public function forget(string $studentId): void
    {
        $this->run('DELETE FROM outbox WHERE student_id = :id', ['id' => $studentId]);
        $this->run(
            "UPDATE mark_event e SET comment = '' FROM ".SittingTables::SITTINGS.' s WHERE s.id = e.sitting_id AND s.student_id = :id',
            ['id' => $studentId],
        );
    }
}
