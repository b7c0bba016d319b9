<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;
use ChalkLadder\Server\Results\CountedAnswer;
use ChalkLadder\Server\Results\CountedAttempt;
use ChalkLadder\Server\Roster\ReadModel\RosterTables;
use ChalkLadder\Server\Sitting\ReadModel\SittingTables;

/** A handout's handed-in work: two queries, whatever the size. */
final readonly class CountingReader extends ReadModel
{
    /** @return list<CountedAttempt> by student and attempt */
    public function attempts(string $handoutId): array
    {
        /** @var list<array{id: string, student_id: string, name: string, attempt: int, walk: string, marks: numeric-string, state: string, counts: bool, fewer_options: int, corrected: int}> $rows */
        $rows = $this->rows('SELECT s.id, s.student_id, st.name, s.attempt, s.walk, s.marks, s.state, s.counts, s.fewer_options,
                (SELECT count(DISTINCT (c.entry, c.try)) FROM '.SittingTables::CORRECTIONS.' c WHERE c.sitting_id = s.id) AS corrected
            FROM '.SittingTables::ATTEMPTS.' s JOIN '.RosterTables::STUDENTS.' st ON st.id = s.student_id
            WHERE s.handout_id = :id ORDER BY st.name_folded, st.id, s.attempt', ['id' => $handoutId]);

        return array_map(
            static fn (array $r): CountedAttempt => new CountedAttempt(
                $r['id'],
                $r['student_id'],
                $r['name'],
                $r['attempt'],
                $r['walk'],
                (float) $r['marks'],
                $r['state'],
                $r['counts'],
                $r['fewer_options'],
                $r['corrected'],
            ),
            $rows,
        );
    }

    /**
     * @param array<string, true> $counting ids of the sittings that count
     * @param list<string>        $whole    entries whose answers are wanted in full
     *
     * @return array<string, array<string, CountedAnswer>> by sitting and entry
     */
    public function answers(string $handoutId, array $counting, array $whole = []): array
    {
        // A row a sitting: thousands of rows take longer to fetch than the database takes to put them together.
        /** @var list<array{sitting_id: string, answers: string}> $rows */
        $rows = $this->rows('SELECT r.sitting_id, json_agg(json_build_array(r.entry, r.try, r.value -> \'options\', r.read_as,
            r.verdict, r.line, r.misconceptions, '.SittingTables::CREDIT.', r.millis, r.confidence,
            CASE WHEN r.entry = ANY(string_to_array(:whole, \',\')) THEN r.value END) ORDER BY r.entry, r.try) AS answers
            FROM '.SittingTables::RESPONSES.' r JOIN '.SittingTables::SITTINGS.' s ON s.id = r.sitting_id
            WHERE s.handout_id = :id AND '.SittingTables::OVER.' AND '.SittingTables::SAYS.' GROUP BY r.sitting_id', [
            'id' => $handoutId, 'whole' => implode(',', $whole),
        ]);
        $given = $numbers = [];
        foreach ($rows as $row) {
            if (!isset($counting[$row['sitting_id']])) {
                continue;
            }
            $first = $credits = [];
            /** @var list<array{string, int, list<string>|null, string, string, string, list<string>, string|null, int|null, int|null, array<string, mixed>|null}> $answers as the query builds them */
            $answers = Json::decode($row['answers']);
            foreach ($answers as $answer) {
                $first[$answer[0]] ??= $answer;
                $credits[$answer[0]][$answer[1]] = $answer[7] === null
                    ? null
                    : $numbers[$answer[7]] ??= BigRational::of($answer[7])->toFloat();
            }
            foreach ($first as $entry => [, , $options, $readAs, $verdict, $line, $misconceptions, , $millis, $confidence, $value]) {
                $given[$row['sitting_id']][$entry] = new CountedAnswer(
                    $credits[$entry],
                    $options ?? [],
                    $readAs,
                    $verdict,
                    $line,
                    $misconceptions,
                    $millis,
                    $confidence,
                    $value === null ? null : ResponseReader::fromArray($value),
                );
            }
        }

        return $given;
    }
}
