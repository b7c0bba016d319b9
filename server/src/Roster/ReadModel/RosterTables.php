<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\ReadModel;

use ChalkLadder\Server\Identity\ReadModel\SignedIn;

/** What the statements of other rooms may know of rosters; each stands where a table stands. */
final class RosterTables
{
    /** A student's session `a` that holds. Who is on no roster any more is nobody. Parameters: hash, now, idle. */
    public const HOLDS = SignedIn::HOLDS.' AND EXISTS (SELECT 1 FROM class_member m WHERE m.student_id = a.student_id AND m.left_at IS NULL)';

    /** Whether the student `s.student_id` has that session. Parameters: hash, now, idle. */
    public const SIGNED_IN = 'EXISTS (SELECT 1 FROM '.SignedIn::SESSIONS.' WHERE a.student_id = s.student_id AND '.self::HOLDS.')';

    /** Classes with the code that students join with: id, name, code. */
    public const CODES = '(SELECT id, name, code FROM class)';

    /** Students by id: name, and the name they are ordered by. */
    public const STUDENTS = '(SELECT id, name, name_folded FROM student)';

    /** What helps each student: id, support. */
    public const SUPPORT = '(SELECT id, support FROM student)';

    /** Who is in which class now: class_id, student_id. */
    public const MEMBERS = '(SELECT class_id, student_id FROM class_member WHERE left_at IS NULL)';

    /** Who is or has been in which class, with the class's name: class_id, student_id, class. */
    public const PLACES = '(SELECT m.class_id, m.student_id, c.name AS class FROM class_member m JOIN class c ON c.id = m.class_id)';

    /** Classes: id, name. */
    public const CLASSES = '(SELECT id, name FROM class)';
}
