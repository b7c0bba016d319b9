<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\ReadModel;

use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/**
 * The latest try that says anything at one question, of every student's newest attempt; the latest where none does.
 *
 * @phpstan-type OneRow array{student_id: string, seed: string, try: int, value: string, verdict: string, credit: string|null, by_hand: bool, line: string, read_as: string, saved_at: string}
 */
final readonly class OneQuestionRows extends ReadModel
{
    /** @return list<OneRow> by name */
    public function of(string $handoutId, string $entry): array
    {
        /** @var list<OneRow> $rows */
        $rows = $this->rows('SELECT hs.student_id, s.seed, r.try, r.value, r.verdict, '.SittingTables::CREDIT.' AS credit,
            r.hand_credit IS NOT NULL AS by_hand, r.line, r.read_as, r.saved_at
            FROM '.HandoutTables::STUDENTS.' hs JOIN '.RosterTables::STUDENTS.' st ON st.id = hs.student_id
            JOIN LATERAL (SELECT id, seed FROM '.SittingTables::SITTINGS.' x
            WHERE x.handout_id = hs.handout_id AND x.student_id = hs.student_id ORDER BY x.attempt DESC LIMIT 1) s ON true
            JOIN LATERAL (SELECT * FROM '.SittingTables::RESPONSES.' r WHERE r.sitting_id = s.id AND r.entry = :entry AND r.counter > 0
            ORDER BY '.SittingTables::SAYS.' DESC, r.try DESC LIMIT 1) r ON true
            WHERE hs.handout_id = :handout ORDER BY st.name_folded, st.id', ['handout' => $handoutId, 'entry' => $entry]);

        return $rows;
    }
}
