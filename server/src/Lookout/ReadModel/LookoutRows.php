<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Lookout\Api\View\CellView;
use ChalkLadder\Server\Lookout\Api\View\RowView;
use ChalkLadder\Server\Lookout\OneQuestion;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Api\View\CallView;
use ChalkLadder\Server\Sitting\ReadModel\LeftScreens;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;
use ChalkLadder\Server\Sitting\ReadModel\Talk;

/**
 * A student each, with their newest attempt: what the Lookout shows.
 *
 * @phpstan-type Row array{student_id: string, extra_minutes: int, held: bool, due_at: string|null, saved_at: string|null, opened_at: string|null, call: string|null, away: string, name: string, sitting_id: string|null, state: string, attempt: int, revision: int, at_entry: string|null, walk: string|null, answers: string}
 */
final readonly class LookoutRows extends ReadModel
{
    private const ROWS = 'SELECT hs.student_id, hs.extra_minutes, hs.held_at IS NOT NULL AS held, st.name, s.due_at,
        (SELECT max(r.saved_at) FROM '.SittingTables::RESPONSES.' r WHERE r.sitting_id = s.id) AS saved_at, s.opened_at, '.LeftScreens::LEFT.' AS away, '.Talk::OPEN_CALL." AS call, s.id AS sitting_id, coalesce(s.state, 'expected') AS state,
        coalesce(s.attempt, 0) AS attempt, coalesce(s.revision, 0) AS revision, s.at_entry, s.walk,
            (SELECT coalesce(json_agg(json_build_array(r.entry, r.try, r.verdict, ".SittingTables::CREDIT.",
            r.hand_credit IS NOT NULL, r.hints_opened) ORDER BY r.try), '[]') FROM ".SittingTables::RESPONSES.' r
            WHERE r.sitting_id = s.id AND r.counter > 0) AS answers
        FROM '.HandoutTables::STUDENTS.' hs JOIN '.RosterTables::STUDENTS.' st ON st.id = hs.student_id
        LEFT JOIN LATERAL (SELECT * FROM '.SittingTables::SITTINGS.' x
        WHERE x.handout_id = hs.handout_id AND x.student_id = hs.student_id ORDER BY x.attempt DESC LIMIT 1) s ON true
        WHERE hs.handout_id = :handout';

    /** @return list<RowView> by name */
    public function all(HandedOut $handout, Rungs $rungs): array
    {
        /** @var list<Row> $rows */
        $rows = $this->rows(self::ROWS.' ORDER BY st.name_folded, st.id', ['handout' => $handout->id]);

        return array_map(static fn (array $r): RowView => self::view($handout, $rungs, $r), $rows);
    }

    public function one(HandedOut $handout, Rungs $rungs, string $sittingId): ?RowView
    {
        // Of one student, so that the newest attempt of no other is looked for; asked after each save that is watched.
        /** @var Row|null $row */
        $row = $this->keptRow(
            self::ROWS.' AND s.id = :sitting AND hs.student_id = (SELECT o.student_id FROM '.SittingTables::SITTINGS.' o WHERE o.id = :sitting)',
            ['handout' => $handout->id, 'sitting' => $sittingId],
        );

        return $row === null ? null : self::view($handout, $rungs, $row);
    }

    /** @return list<string> ids of all who have a handout, by name */
    public function students(string $handoutId): array
    {
        return $this->texts('SELECT hs.student_id FROM '.HandoutTables::STUDENTS.' hs JOIN '.RosterTables::STUDENTS.' st ON st.id = hs.student_id
            WHERE hs.handout_id = :id ORDER BY st.name_folded, st.id', ['id' => $handoutId]);
    }

    public function team(string $handoutId): ?string
    {
        /** @var array{team_id: string}|null $row */
        $row = $this->keptRow('SELECT team_id FROM '.HandoutTables::HANDOUTS.' h WHERE id = :id', ['id' => $handoutId]);

        return $row['team_id'] ?? null;
    }

    private static function call(?string $stored): ?CallView
    {
        if ($stored === null) {
            return null;
        }
        /** @var array{id: string, kind: string, entry: string, words: string, madeAt: string} $call as the query builds it */
        $call = Json::decode($stored);

        return new CallView($call['id'], $call['kind'], $call['entry'], $call['words'], Moment::iso($call['madeAt']));
    }

    /** @param Row $r */
    private static function view(HandedOut $handout, Rungs $rungs, array $r): RowView
    {
        $cells = $credits = [];
        /** @var list<array{string, int, string, string|null, bool, int}> $answers as the query builds them */
        $answers = Json::decode($r['answers']);
        foreach ($answers as [$entry, $try, $verdict, $credit, $byHand, $hints]) {
            $value = $credit === null ? null : BigRational::of($credit);
            $credits[$entry][$try] = $handout->edition->afterHints($entry, $value, $hints);
            $cells[$entry][$try] = OneQuestion::code($verdict, $value, $byHand);
        }
        $marks = $possible = 0.0;
        $shown = $route = [];
        if ($r['walk'] !== null) {
            $way = SittingReader::walk($r['walk']);
            $score = Score::of($handout->edition->paper(), $way, $credits, $handout->markStep);
            $marks = $score->total->toFloat();
            // What was not touched is left blank once the work is handed in.
            $untouched = SittingState::from($r['state'])->isOver() ? [1 => 'blank'] : [];
            foreach ($way->steps($handout->edition->paper()) as ['entry' => $entry]) {
                $tries = $cells[$entry] ?? $untouched;
                // What a cell shows is the try that counts; the latest while none is marked.
                $try = $score->counting[$entry] ?? array_key_last($tries);
                if (!isset($route[$entry]) && $try !== null) {
                    $shown[$entry] = new CellView($tries[$try], $try);
                    // Live, a student is measured by what they have answered, not by what is still ahead.
                    $possible += $tries[$try] === 'waits' ? 0.0 : $handout->edition->points($entry)->toFloat();
                }
                $route[$entry] = $entry;
            }
        }

        /** @var array{int, int} $away as the query builds it */
        $away = Json::decode($r['away']);
        [$left, $seconds] = $away;

        return new RowView(
            $r['student_id'],
            $r['name'],
            $r['sitting_id'],
            $r['state'],
            $r['attempt'],
            $r['revision'],
            $r['at_entry'],
            $shown,
            array_values($route),
            $marks,
            $possible,
            $possible > 0.0 ? $rungs->reached($marks / $possible) : 0,
            $r['extra_minutes'],
            $r['held'],
            Moment::isoOrNull($r['due_at']),
            self::call($r['call']),
            Moment::isoOrNull($r['opened_at']),
            Moment::isoOrNull($r['saved_at'] ?? $r['opened_at']),
            $left,
            $seconds,
        );
    }
}
