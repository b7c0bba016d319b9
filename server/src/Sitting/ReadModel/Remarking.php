<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\Entity\Sitting;

/** Marking thousands of answers anew in one act: a few statements, whatever their number. */
final readonly class Remarking extends ReadModel
{
    private const OF_EDITION = 'FROM response r JOIN sitting s ON s.id = r.sitting_id
        JOIN '.HandoutTables::HANDOUTS.' h ON h.id = s.handout_id';

    /**
     * @param bool $hold whether the answers and their sittings are to stay as they are until the act ends
     *
     * @return list<GivenAnswer> by student, attempt and try
     */
    public function answers(string $editionId, string $entry, bool $hold): array
    {
        /** @var list<array{sitting_id: string, seed: string, try: int, value: string, by_hand: bool, name: string, state: string, hints_opened: int}> $rows */
        $rows = $this->rows('SELECT r.sitting_id, s.seed, r.try, r.value, r.hand_credit IS NOT NULL AS by_hand, st.name,
            s.state, r.hints_opened '.self::OF_EDITION.' JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id
            WHERE h.edition_id = :edition AND r.entry = :entry
            ORDER BY st.name_folded, st.id, s.attempt, r.try'.($hold ? ' FOR UPDATE OF r, s' : ''), [
            'edition' => $editionId,
            'entry' => $entry,
        ]);

        return array_map(
            static fn (array $r): GivenAnswer => new GivenAnswer(
                $r['sitting_id'],
                $r['seed'],
                $r['try'],
                ResponseReader::fromArray(Json::decode($r['value'])),
                $r['by_hand'],
                $r['name'],
                $r['state'] === 'returned',
                $r['hints_opened'],
            ),
            $rows,
        );
    }

    /** @return array<string, array<string, array<int, Response>>> every response of an edition, by sitting, entry and try */
    public function everything(string $editionId): array
    {
        /** @var list<array{sitting_id: string, entry: string, try: int, value: string}> $rows */
        $rows = $this->rows(
            'SELECT r.sitting_id, r.entry, r.try, r.value '.self::OF_EDITION.' WHERE h.edition_id = :edition',
            ['edition' => $editionId],
        );
        $responses = [];
        foreach ($rows as $row) {
            $responses[$row['sitting_id']][$row['entry']][$row['try']] = ResponseReader::fromArray(Json::decode($row['value']));
        }

        return $responses;
    }

    /** @param list<Remarked> $remarked */
    public function store(array $remarked): void
    {
        $rows = array_map(
            static fn (Remarked $r): array => ['s' => $r->sittingId, 'e' => $r->entry, 't' => $r->try]
                + OutcomeColumns::of($r->after)->short(),
            $remarked,
        );
        $this->run('UPDATE response r SET credit = n.c, verdict = n.d, line = n.l, read_as = n.r, misconceptions = n.m::uuid[]
            FROM jsonb_to_recordset(:rows::jsonb) AS n (s uuid, e text, t int, c text, d text, l text, r text, m text)
            WHERE r.sitting_id = n.s AND r.entry = n.e AND r.try = n.t', ['rows' => Json::encode($rows)]);
    }

    /**
     * Brings the marks of sittings in line with their answers.
     *
     * @param list<string> $sittingIds of the edition
     */
    public function recount(array $sittingIds, PublishedPaper $edition, BigRational $step): void
    {
        if ($sittingIds === []) {
            return;
        }
        /** @var list<array{id: string, walk: string, credits: string}> $rows */
        $rows = $this->rows(
            'SELECT s.id, s.walk, (SELECT coalesce(json_agg(json_build_array(r.entry, r.try, '.SittingTables::CREDIT.", r.hints_opened)), '[]')
                FROM response r WHERE r.sitting_id = s.id) AS credits FROM sitting s WHERE s.id IN (:ids)",
            ['ids' => $sittingIds],
        );
        $marks = [];
        foreach ($rows as $row) {
            /** @var list<array{string, int, string|null, int}> $answers as the query builds them */
            $answers = Json::decode($row['credits']);
            $credits = [];
            foreach ($answers as [$entry, $try, $credit, $hints]) {
                $credits[$entry][$try] = $edition->afterHints($entry, $credit === null ? null : BigRational::of($credit), $hints);
            }
            $score = Score::of($edition->paper(), SittingReader::walk($row['walk']), $credits, $step);
            $marks[] = [
                's' => $row['id'],
                'm' => Sitting::decimal($score->total),
                // A key that is given late ends the waiting, and one that is taken back begins it again.
                'w' => SittingState::afterMarking($score->waiting !== [])->value,
            ];
        }
        $this->run(
            'UPDATE sitting s SET marks = n.m, revision = s.revision + 1,
                state = CASE WHEN '.SittingTables::FOLLOWS_MARKING.' THEN n.w ELSE s.state END
                FROM jsonb_to_recordset(:rows::jsonb) AS n (s uuid, m numeric, w text) WHERE s.id = n.s',
            ['rows' => Json::encode($marks)],
        );
    }
}
