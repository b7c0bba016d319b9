<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;

/** In which class a student was handed the work; where it was several, the first by name. */
final readonly class ClassOfStudents extends ReadModel
{
    /** @return array<string, string> name of the class, by student */
    public function of(string $handoutId): array
    {
        return $this->pairs('SELECT DISTINCT ON (p.student_id) p.student_id::text, p.class FROM '.HandoutTables::CLASSES.' hc
            JOIN '.RosterTables::PLACES.' p ON p.class_id = hc.class_id
            WHERE hc.handout_id = :id ORDER BY p.student_id, p.class', ['id' => $handoutId]);
    }

    /** @return array<string, string> name of the class that each student of a handout is in now, whatever it was given to */
    public function now(string $handoutId): array
    {
        return $this->pairs('SELECT DISTINCT ON (m.student_id) m.student_id::text, c.name FROM '.HandoutTables::STUDENTS.' hs
            JOIN '.RosterTables::MEMBERS.' m ON m.student_id = hs.student_id
            JOIN '.RosterTables::CLASSES.' c ON c.id = m.class_id WHERE hs.handout_id = :id
            ORDER BY m.student_id, c.name', ['id' => $handoutId]);
    }
}
