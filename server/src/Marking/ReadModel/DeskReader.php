<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\ReadModel\PaperTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\GivenAnswers;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** What the marking desk lays out. */
final readonly class DeskReader extends ReadModel
{
    private const MOST_QUESTIONS = 200;
    private const SHELF = 6;
    /** What was marked twice stays on the second desk, whoever settled it since. */
    private const MARKED_BY_OTHERS = ' AND (own.staff_id IS NOT NULL OR (r.hand_levels IS NOT NULL AND r.hand_by <> :who))';
    private const HANDED_IN = 'FROM '.SittingTables::RESPONSES.' r
        JOIN '.SittingTables::SITTINGS.' s ON s.id = r.sitting_id AND '.SittingTables::OVER;

    /** @return list<array{handout: string, title: string, edition: string, rules: int, entry: string, waiting: int, answers: int}> questions that a person marks, those with something waiting first */
    public function questions(string $teamId): array
    {
        /** @var list<array{handout: string, title: string, edition: string, rules: int, entry: string, waiting: int, answers: int}> $rows */
        $rows = $this->rows('SELECT h.id AS handout, h.title, e.id AS edition, e.rules_version AS rules, r.entry,
            count(*) FILTER (WHERE '.SittingTables::WAITS.') AS waiting, count(*) AS answers
            '.self::HANDED_IN.' AND '.SittingTables::BY_HAND.' JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id
                JOIN '.PaperTables::RULES.' e ON e.id = h.edition_id
            WHERE h.team_id = :team GROUP BY h.id, h.title, h.made_at, e.id, e.rules_version, r.entry
            ORDER BY (count(*) FILTER (WHERE '.SittingTables::WAITS.') > 0) DESC, h.made_at DESC, r.entry LIMIT '
                .self::MOST_QUESTIONS, ['team' => $teamId]);

        return $rows;
    }

    /** @return array<string, int> how many answers wait for a marker, by entry */
    public function waiting(string $handoutId): array
    {
        /** @var list<array{entry: string, n: int}> $rows */
        $rows = $this->rows(
            'SELECT r.entry, count(*) AS n '.self::HANDED_IN.' WHERE s.handout_id = :handout AND '.SittingTables::WAITS.' GROUP BY r.entry',
            ['handout' => $handoutId],
        );

        return array_column($rows, 'n', 'entry');
    }

    /** @return list<string> comments used on a question before, the most used first */
    public function shelf(string $teamId, string $editionId, string $entry): array
    {
        return $this->texts('SELECT r.comment FROM '.SittingTables::RESPONSES.' r
            JOIN '.SittingTables::SITTINGS.' s ON s.id = r.sitting_id JOIN '.HandoutTables::HANDOUTS." h ON h.id = s.handout_id
            WHERE h.edition_id = :edition AND h.team_id = :team AND r.entry = :entry AND r.comment <> '' GROUP BY r.comment
            ORDER BY count(*) DESC, max(r.hand_at) DESC LIMIT ".self::SHELF, [
            'edition' => $editionId,
            'team' => $teamId,
            'entry' => $entry,
        ]);
    }

    /**
     * @param bool $second the answers that somebody else has marked
     *
     * @return list<DeskAnswer> by student, attempt and try
     */
    public function answers(string $handoutId, string $entry, string $staffId, bool $second): array
    {
        /** @var list<array{sitting_id: string, student_id: string, entry: string, try: int, value: string, counter: int, settled: bool, hints_opened: int, hand_credit: string|null, hand_levels: string|null, comment: string, saved_at: string, mark_version: int, millis: int|null, confidence: int|null, working: string|null, credit: string|null, verdict: string, line: string, read_as: string, state: string, seed: string, walk: string, name: string, own_levels: string|null}> $rows */
        $rows = $this->rows('SELECT r.*, s.student_id, s.state, s.seed, s.walk, st.name, own.levels AS own_levels '.self::HANDED_IN.'
            JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id
            LEFT JOIN moderation_mark own ON own.sitting_id = r.sitting_id AND own.entry = r.entry AND own.try = r.try
            AND own.staff_id = :who
            WHERE s.handout_id = :handout AND r.entry = :entry AND '.SittingTables::SAYS.($second ? self::MARKED_BY_OTHERS : '').'
            ORDER BY st.name_folded, st.id, s.attempt, r.try', [
            'handout' => $handoutId,
            'entry' => $entry,
            'who' => $staffId,
        ]);

        return array_map(static fn (array $r): DeskAnswer => new DeskAnswer(
            $r['sitting_id'],
            $r['student_id'],
            $r['name'],
            $r['seed'],
            SittingReader::walk($r['walk']),
            $r['state'] === 'returned',
            GivenAnswers::answer(
                $r,
                ResponseReader::fromArray(Json::decode($r['value'])),
                new Outcome(
                    $r['credit'] === null ? null : BigRational::of($r['credit']),
                    Verdict::from($r['verdict']),
                    $r['line'],
                    $r['read_as'],
                ),
            ),
            $r['own_levels'] === null ? null : Json::numbers($r['own_levels']),
        ), $rows);
    }
}
