<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ForgetsStudents;

/** Drops what an erased student has written. Picks stay: they say nothing of a person. */
final readonly class Forgetting extends ReadModel implements ForgetsStudents
{
    public function forget(string $studentId): void
    {
        $this->run(
            "UPDATE response r SET value = '{\"text\": \"\"}', read_as = '', comment = '' FROM sitting s
                WHERE s.id = r.sitting_id AND s.student_id = :id AND NOT jsonb_exists(r.value, 'options')",
            ['id' => $studentId],
        );
        $this->run('DELETE FROM correction c USING sitting s WHERE s.id = c.sitting_id AND s.student_id = :id', ['id' => $studentId]);
        $this->run('DELETE FROM late_response l USING sitting s WHERE s.id = l.sitting_id AND s.student_id = :id', ['id' => $studentId]);
        $this->run('DELETE FROM student_call c USING sitting s WHERE s.id = c.sitting_id AND s.student_id = :id', ['id' => $studentId]);
        $this->run('DELETE FROM help p USING sitting s WHERE s.id = p.sitting_id AND :id IN (s.student_id, p.helper_id)', ['id' => $studentId]);
        $this->run("UPDATE climb SET teams = (SELECT jsonb_agg(jsonb_set(t, '{students}', (t -> 'students') - CAST(:id AS text)))
            FROM jsonb_array_elements(teams) t) WHERE CAST(teams AS text) LIKE '%' || CAST(:id AS text) || '%'", ['id' => $studentId]);
        $this->run('DELETE FROM lesson_note WHERE student_id = :id', ['id' => $studentId]);
        $this->run(
            "UPDATE sitting SET message = '', reply = NULL, replied_at = NULL, revision = revision + 1 WHERE student_id = :id",
            ['id' => $studentId],
        );
    }
}
