<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

use ChalkLadder\Server\Bank\Api\View\AlsoView;
use ChalkLadder\Server\Bank\Api\View\TermView;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class TermList extends ReadModel
{
    /** Until the act ends, nobody else of the team names, moves or puts together any. */
    public function hold(string $teamId): void
    {
        $this->holdName("terms $teamId");
    }

    /** @return list<TermView> those that stand for themselves */
    public function skills(string $teamId): array
    {
        /** @var list<array{id: string, name: string, parent_id: string|null, questions: int, also: string}> $rows */
        $rows = $this->rows('SELECT s.id, s.name, s.parent_id, count(i.id) AS questions, '.self::also('skill').' AS also
            FROM skill s LEFT JOIN item i ON i.skill_id = s.id AND i.archived_at IS NULL
            WHERE s.team_id = :team AND s.merged_into IS NULL GROUP BY s.id ORDER BY s.name', ['team' => $teamId]);

        return array_map(
            static fn (array $r): TermView => new TermView(
                $r['id'],
                $r['name'],
                $r['parent_id'],
                '',
                '',
                $r['questions'],
                self::others($r['also']),
            ),
            $rows,
        );
    }

    /** @return list<TermView> those that stand for themselves */
    public function misconceptions(string $teamId): array
    {
        /** @var list<array{id: string, name: string, looks_like: string, next_step: string, questions: int, also: string}> $rows */
        $rows = $this->rows('SELECT s.id, s.name, s.looks_like, s.next_step, count(i.id) AS questions, '.self::also('misconception').' AS also
            FROM misconception s LEFT JOIN item i ON s.id = ANY(i.misconceptions) AND i.archived_at IS NULL
            WHERE s.team_id = :team AND s.merged_into IS NULL GROUP BY s.id ORDER BY s.name', ['team' => $teamId]);

        return array_map(
            static fn (array $r): TermView => new TermView(
                $r['id'],
                $r['name'],
                null,
                $r['looks_like'],
                $r['next_step'],
                $r['questions'],
                self::others($r['also']),
            ),
            $rows,
        );
    }

    /** @return array<string, string> what stands for each that was put together with another */
    public function sameAs(string $teamId): array
    {
        return $this->pairs('SELECT id::text, merged_into::text FROM skill WHERE team_id = :team AND merged_into IS NOT NULL
            UNION ALL SELECT id::text, merged_into::text FROM misconception
            WHERE team_id = :team AND merged_into IS NOT NULL', ['team' => $teamId]);
    }

    /** @return list<string> ids of all questions, those put away too, that name this skill or misconception */
    public function naming(string $teamId, string $id): array
    {
        return $this->texts(
            'SELECT id::text FROM item WHERE team_id = :team AND (skill_id = :id OR :id = ANY(misconceptions)) ORDER BY id',
            ['team' => $teamId, 'id' => $id],
        );
    }

    /** @return array<string, string> by id; one that was put together with another bears that one's name */
    public function skillNames(string $teamId): array
    {
        return $this->names('skill', $teamId);
    }

    /** @return array<string, string> by id; one that was put together with another bears that one's name */
    public function misconceptionNames(string $teamId): array
    {
        return $this->names('misconception', $teamId);
    }

    /**
     * @param 'skill'|'misconception' $table
     *
     * @return array<string, string>
     */
    private function names(string $table, string $teamId): array
    {
        return $this->pairs("SELECT s.id::text, coalesce(o.name, s.name) FROM $table s LEFT JOIN $table o ON o.id = s.merged_into
            WHERE s.team_id = :team ORDER BY s.merged_into IS NOT NULL, s.name", ['team' => $teamId]);
    }

    /** @param 'skill'|'misconception' $table */
    private static function also(string $table): string
    {
        return "(SELECT coalesce(json_agg(json_build_array(o.id, o.name) ORDER BY o.name), '[]') FROM $table o WHERE o.merged_into = s.id)";
    }

    /** @return list<AlsoView> */
    private static function others(string $json): array
    {
        $others = [];
        foreach (Json::decode($json) as $one) {
            if (is_array($one) && is_string($one[0] ?? null) && is_string($one[1] ?? null)) {
                $others[] = new AlsoView($one[0], $one[1]);
            }
        }

        return $others;
    }
}
