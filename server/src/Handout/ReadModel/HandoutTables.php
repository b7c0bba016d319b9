<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Handout\Window;

/** What the statements of other rooms may know of handouts. The first three stand where a table stands. */
final class HandoutTables
{
    /** Handouts: id, team_id, edition_id, title, conditions, group_id, made_at, and the columns of the window. */
    public const HANDOUTS = '(SELECT id, team_id, edition_id, title, conditions, group_id, made_at, visible, opens_at, closes_at,
        closed_at FROM handout)';

    /** Who has been handed what: handout_id, student_id. */
    public const STUDENTS = '(SELECT handout_id, student_id FROM handout_student)';

    /** Which classes: handout_id, class_id. */
    public const CLASSES = '(SELECT handout_id, class_id FROM handout_class)';

    /** {@see Window::takesAnswersAt()} for a handout `h`. Parameter: now. */
    public const TAKES_ANSWERS = '(h.visible AND h.closed_at IS NULL AND NOT '.self::DUE.')';

    /** {@see Window::isClosedAt()} for a handout `h`. Parameter: now. */
    public const CLOSED = '(h.closed_at IS NOT NULL OR coalesce(h.closes_at <= :now, false))';

    /** {@see Window::isDueAt()} for a handout `h`. Parameter: now. */
    public const DUE = "(h.closed_at IS NULL AND coalesce(h.closes_at + interval '".Window::GRACE." seconds' <= :now, false))";
}
