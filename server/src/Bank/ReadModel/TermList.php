<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\TermView;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class TermList extends ReadModel
{
    /** @return list<TermView> */
    public function skills(string $teamId): array
    {
        /** @var list<array{id: string, name: string, parent_id: string|null, questions: int}> $rows */
        $rows = $this->rows('SELECT s.id, s.name, s.parent_id, count(i.id) AS questions FROM skill s
            LEFT JOIN item i ON i.skill_id = s.id AND i.archived_at IS NULL WHERE s.team_id = :team GROUP BY s.id
            ORDER BY s.name', ['team' => $teamId]);

        return array_map(
            static fn (array $r): TermView => new TermView($r['id'], $r['name'], $r['parent_id'], '', '', $r['questions']),
            $rows,
        );
    }

    /** @return list<TermView> */
    public function misconceptions(string $teamId): array
    {
        /** @var list<array{id: string, name: string, looks_like: string, next_step: string, questions: int}> $rows */
        $rows = $this->rows('SELECT m.id, m.name, m.looks_like, m.next_step, count(i.id) AS questions FROM misconception m
            LEFT JOIN item i ON m.id = ANY(i.misconceptions) AND i.archived_at IS NULL WHERE m.team_id = :team GROUP BY m.id
            ORDER BY m.name', ['team' => $teamId]);

        return array_map(
            static fn (array $r): TermView => new TermView($r['id'], $r['name'], null, $r['looks_like'], $r['next_step'], $r['questions']),
            $rows,
        );
    }

    /** @return array<string, string> by id */
    public function skillNames(string $teamId): array
    {
        return $this->pairs('SELECT id::text, name FROM skill WHERE team_id = :team ORDER BY name', ['team' => $teamId]);
    }

    /** @return array<string, string> by id */
    public function misconceptionNames(string $teamId): array
    {
        return $this->pairs('SELECT id::text, name FROM misconception WHERE team_id = :team ORDER BY name', ['team' => $teamId]);
    }
}
