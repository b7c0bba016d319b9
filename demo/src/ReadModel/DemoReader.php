<?php

declare(strict_types=1);

namespace ChalkLadder\Demo\ReadModel;

use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

/** What the demo has to know of itself. It is a guest, so it looks across all rooms. */
final readonly class DemoReader extends ReadModel
{
    public function isEmpty(): bool
    {
        return $this->row('SELECT 1 FROM team LIMIT 1') === null;
    }

    /** After many rows at once the planner should know of them. */
    public function analyse(): void
    {
        $this->run('ANALYZE');
    }

    /** @return list<array{id: string, team: string, name: string, class: string}> by class and name */
    public function students(): array
    {
        /** @var list<array{id: string, team: string, name: string, class: string}> $rows */
        $rows = $this->rows('SELECT s.id, s.team_id AS team, s.name, c.name AS class FROM student s
            JOIN class_member m ON m.student_id = s.id JOIN class c ON c.id = m.class_id ORDER BY c.name, s.name_folded, s.id');

        return $rows;
    }

    /** @return list<array{class: string, code: string, name: string, pin_sealed: string}> the first student of each class */
    public function firstOfEachClass(): array
    {
        /** @var list<array{class: string, code: string, name: string, pin_sealed: string}> $rows */
        $rows = $this->rows('SELECT DISTINCT ON (c.name) c.name AS class, c.code, s.name, s.pin_sealed FROM class c
            JOIN class_member m ON m.class_id = c.id JOIN student s ON s.id = m.student_id ORDER BY c.name, s.name_folded');

        return $rows;
    }

    /** @return list<string> students of a handout, by name */
    public function studentsOf(string $handoutId): array
    {
        return $this->texts(
            'SELECT hs.student_id::text FROM handout_student hs JOIN student s ON s.id = hs.student_id WHERE hs.handout_id = :id
                ORDER BY s.name_folded, s.id',
            ['id' => $handoutId],
        );
    }

    /** @return array<string, string> bank question by entry */
    public function questionsOf(string $handoutId): array
    {
        return $this->pairs(
            'SELECT ei.entry, ei.item_id::text FROM handout h JOIN edition_item ei ON ei.edition_id = h.edition_id WHERE h.id = :id',
            ['id' => $handoutId],
        );
    }

    /** @return array<string, string> title of the question by entry */
    public function titlesOf(string $handoutId): array
    {
        return $this->pairs(
            'SELECT ei.entry, i.title FROM handout h JOIN edition_item ei ON ei.edition_id = h.edition_id
                JOIN item i ON i.id = ei.item_id WHERE h.id = :id',
            ['id' => $handoutId],
        );
    }

    /** @return list<string> what the groups of a grouping were handed */
    public function followUpsOf(string $groupingId): array
    {
        return $this->texts(
            'SELECT h.id::text FROM handout h JOIN grouping_group g ON g.id = h.group_id WHERE g.grouping_id = :id',
            ['id' => $groupingId],
        );
    }

    /** A handout of this title that is open and in which somebody still has something to do. */
    public function live(string $title): ?string
    {
        return $this->texts("SELECT h.id::text FROM handout h WHERE h.title = :title AND h.closed_at IS NULL
            AND (SELECT count(*) FROM handout_student hs WHERE hs.handout_id = h.id) - (SELECT count(*) FROM sitting s
            WHERE s.handout_id = h.id AND s.state <> 'open') > 4 ORDER BY h.made_at DESC LIMIT 1", ['title' => $title])[0] ?? null;
    }

    /** @return array{id: string, edition: string, conditions: array<array-key, mixed>, team: string, staff: string, name: string, class: string}|null the latest handout of this title */
    public function latest(string $title): ?array
    {
        /** @var array{id: string, edition: string, conditions: string, team: string, staff: string, name: string, class: string}|null $row */
        $row = $this->row('SELECT h.id, h.edition_id AS edition, h.conditions, h.team_id AS team, s.id AS staff, s.name,
            (SELECT class_id FROM handout_class hc WHERE hc.handout_id = h.id LIMIT 1) AS class
            FROM handout h JOIN staff s ON s.id = h.made_by WHERE h.title = :title ORDER BY h.made_at DESC LIMIT 1', ['title' => $title]);

        return $row === null ? null : ['conditions' => Json::decode($row['conditions'])] + $row;
    }

    /** Copies each sitting of a handout, with its responses, until there are so many attempts. */
    public function multiply(string $handoutId, int $times): void
    {
        $this->run(
            'CREATE TEMPORARY TABLE copied ON COMMIT DROP AS SELECT s.id AS old, gen_random_uuid() AS id, n AS attempt
                FROM sitting s, generate_series(2, :times::int) n WHERE s.handout_id = :id',
            ['id' => $handoutId, 'times' => $times],
        );
        $this->run('INSERT INTO sitting (id, team_id, handout_id, student_id, attempt, state, seed, walk, at_entry, opened_at,
            handed_in_at, handed_in_by, marks, veiled)
            SELECT c.id, s.team_id, s.handout_id, s.student_id, c.attempt, s.state, s.seed, s.walk, s.at_entry, s.opened_at,
            s.handed_in_at, s.handed_in_by, s.marks, s.veiled FROM sitting s JOIN copied c ON c.old = s.id');
        $this->run('INSERT INTO response (sitting_id, entry, try, value, counter, client_id, saved_at, settled, credit, verdict,
            line, read_as, millis)
            SELECT c.id, r.entry, r.try, r.value, r.counter, r.client_id, r.saved_at, r.settled, r.credit, r.verdict, r.line,
            r.read_as, r.millis FROM response r JOIN copied c ON c.old = r.sitting_id');
    }
}
