<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\ReadModel;

use ChalkLadder\Server\Handout\Window;

/** What the statements of other rooms may know of handouts. Those before TAKES_ANSWERS stand where a table stands. */
final class HandoutTables
{
    /** Handouts: id, team_id, edition_id, title, conditions, group_id, made_at, and the columns of the window. */
    public const HANDOUTS = '(SELECT id, team_id, edition_id, title, conditions, group_id, made_at, visible, opens_at, closes_at,
        closed_at, closed_until, 0 AS extra_minutes FROM handout)';

    /** A handout as one student has it, with {@see Window::withExtra()}: as HANDOUTS, and student_id, held_at, held_words. */
    public const GIVEN = '(SELECT hs.student_id, h.id, h.team_id, h.edition_id, h.title, h.conditions, h.group_id, h.made_at, h.visible,
        h.opens_at, h.closes_at + make_interval(mins => hs.extra_minutes) AS closes_at, h.closed_at, h.closed_until,
        hs.extra_minutes, hs.held_at, hs.held_words
        FROM handout h JOIN handout_student hs ON hs.handout_id = h.id)';

    /** Who has been handed what: handout_id, student_id, extra_minutes, held_at. */
    public const STUDENTS = '(SELECT handout_id, student_id, extra_minutes, held_at FROM handout_student)';

    /** Which classes: handout_id, class_id. */
    public const CLASSES = '(SELECT handout_id, class_id FROM handout_class)';

    /** {@see Window::takesAnswersAt()} for a handout `h`. Parameter: now. */
    public const TAKES_ANSWERS = '(h.visible AND h.closed_at IS NULL AND NOT '.self::DUE.')';

    /** {@see Window::isClosedAt()} for a handout `h`. Parameter: now. */
    public const CLOSED = '(h.closed_at IS NOT NULL OR coalesce(h.closes_at <= :now, false))';

    /** {@see Window::isDueAt()} for a handout `h`. Parameter: now. */
    public const DUE = "(h.closed_at IS NULL AND coalesce(h.closes_at + interval '".Window::GRACE." seconds' <= :now, false))";
}
