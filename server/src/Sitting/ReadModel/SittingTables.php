<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Handout\Window;

/** What the statements of other rooms may know of sittings. The first four stand where a table stands; the others are rules. */
final class SittingTables
{
    public const SITTINGS = '(SELECT * FROM sitting)';
    /** Without answers that are kept aside, since their question is gone from the paper. */
    public const RESPONSES = '(SELECT * FROM response WHERE aside IS NULL)';

    /**
     * Corrections of answers that stand: not taken back, and not answered over since. An answer may have several; the latest is
     * what it is.
     */
    public const CORRECTIONS = '(SELECT c.* FROM correction c JOIN response r ON r.sitting_id = c.sitting_id AND r.entry = c.entry
        AND r.try = c.try AND r.saved_at <= c.made_at WHERE c.undone_at IS NULL)';

    /** A sitting `s` that has been handed in, and so may count. The rule of {@see \ChalkLadder\Core\Sitting\SittingState::isOver()}. */
    public const OVER = "s.state <> 'open'";

    /** A sitting `s` whose state follows its marking. The rule of {@see \ChalkLadder\Server\Sitting\Entity\Sitting::scored()}. */
    public const FOLLOWS_MARKING = "s.state IN ('handed in', 'marked')";

    /**
     * The credit of a response `r` that counts: a person's before a machine's. The rule of {@see
     * \ChalkLadder\Server\Sitting\Answer::credit()}.
     */
    public const CREDIT = 'coalesce(r.hand_credit, r.credit)';

    /** Whether a response `r` waits for a marker. The rule of {@see \ChalkLadder\Server\Sitting\Answer::waits()}. */
    public const WAITS = "(r.verdict = 'by hand' AND r.hand_credit IS NULL)";

    /**
     * Whether a response `r` says anything: it is not blank, or somebody has marked it. The rule of {@see
     * \ChalkLadder\Server\Sitting\Answer::says()}.
     */
    public const SAYS = "(r.verdict <> 'none' OR r.hand_credit IS NOT NULL)";

    /**
     * Whether the time that the student of an open sitting `s` has of their own is over, with the grace of the closing time. While they
     * are held, as `h` ({@see HandoutTables::GIVEN}) says, it is not. Parameter: now.
     */
    public const OVERDUE = "(h.held_at IS NULL AND coalesce(s.due_at + interval '".Window::GRACE." seconds' <= :now, false))";

    /** Whether a handout `h` has been closed since a sitting `s` was handed in. What was told then stays told when it is opened again. */
    public const CLOSED_SINCE = '(s.handed_in_at IS NOT NULL AND (h.closed_at IS NOT NULL OR coalesce(s.handed_in_at <= h.closed_until, false)))';

    /** A response `r` that a person marks. */
    public const BY_HAND = "r.verdict = 'by hand'";

    /**
     * Sittings that have been handed in, each with `counts`: whether it is the attempt, or one of those, that counts for its
     * student. The rule of {@see \ChalkLadder\Core\Sitting\AttemptRule::counting()}.
     */
    public const ATTEMPTS = "(SELECT a.*, a.rule = 'mean' OR row_number() OVER (PARTITION BY a.handout_id, a.student_id ORDER BY
            CASE a.rule WHEN 'best' THEN -a.marks WHEN 'latest' THEN -a.attempt ELSE a.attempt END, a.attempt) = 1 AS counts
        FROM (SELECT s.*, h.conditions ->> 'counts' AS rule FROM sitting s JOIN ".HandoutTables::HANDOUTS.' h ON h.id = s.handout_id
        WHERE '.self::OVER.') a)';
}
