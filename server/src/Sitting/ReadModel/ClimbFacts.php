<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\ReadModel;

use Brick\Math\BigRational;
use ChalkLadder\Server\Handout\ReadModel\HandoutTables;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What teams are drawn from, and what carries them up. */
final readonly class ClimbFacts extends ReadModel
{
    /** @return array<string, float|null> mean share of the marks in earlier work that counts, by student of a handout; null without any */
    public function past(string $handoutId): array
    {
        /** @var list<array{student_id: string, share: string|float|null}> $rows */
        $rows = $this->rows('SELECT hs.student_id, (SELECT avg(a.marks / a.possible) FROM '.SittingTables::ATTEMPTS.' a
            WHERE a.student_id = hs.student_id AND a.handout_id <> hs.handout_id AND a.counts AND a.possible > 0) AS share
            FROM '.HandoutTables::STUDENTS.' hs WHERE hs.handout_id = :id ORDER BY hs.student_id', ['id' => $handoutId]);
        $past = [];
        foreach ($rows as $row) {
            $past[$row['student_id']] = $row['share'] === null ? null : (float) $row['share'];
        }

        return $past;
    }

    /** @return array<string, list<BigRational>> credits of each who has begun, of their newest attempt and the latest try of each question, by student */
    public function credits(string $handoutId): array
    {
        /** @var list<array{student_id: string, credits: string}> $rows */
        $rows = $this->rows("SELECT s.student_id, (SELECT coalesce(json_agg(t.credit), '[]') FROM (
                SELECT DISTINCT ON (r.entry) ".SittingTables::CREDIT.' AS credit FROM '.SittingTables::RESPONSES.' r
                WHERE r.sitting_id = s.id AND r.counter > 0 AND NOT '.SittingTables::BY_HAND.'
                ORDER BY r.entry, r.try DESC) t WHERE t.credit IS NOT NULL) AS credits
            FROM (SELECT DISTINCT ON (student_id) id, student_id FROM sitting WHERE handout_id = :id
                ORDER BY student_id, attempt DESC) s', [
            'id' => $handoutId,
        ]);
        $credits = [];
        foreach ($rows as $row) {
            /** @var list<string> $given as the query builds it */
            $given = Json::decode($row['credits']);
            $credits[$row['student_id']] = array_map(BigRational::of(...), $given);
        }

        return $credits;
    }

    /** The name of the team that a student climbs with; null where there is none. */
    public function teamOf(string $handoutId, string $studentId): ?string
    {
        return $this->texts("SELECT t ->> 'name' FROM climb c, jsonb_array_elements(c.teams) t
            WHERE c.handout_id = :id AND c.stopped_at IS NULL AND jsonb_exists(t -> 'students', :student)", [
            'id' => $handoutId,
            'student' => $studentId,
        ])[0] ?? null;
    }

    /** @return array{bool, list<array{name: string, students: list<string>}>}|null whether it goes on, and its teams */
    public function climb(string $handoutId): ?array
    {
        /** @var array{teams: string, is_on: bool}|null $row */
        $row = $this->row('SELECT teams, stopped_at IS NULL AS is_on FROM climb WHERE handout_id = :id', ['id' => $handoutId]);
        if ($row === null) {
            return null;
        }
        /** @var list<array{name: string, students: list<string>}> $teams as they were kept */
        $teams = Json::decode($row['teams']);

        return [$row['is_on'], $teams];
    }
}
