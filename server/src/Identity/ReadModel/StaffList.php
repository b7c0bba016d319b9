<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Identity\Api\View\ColleagueView;
use ChalkLadder\Server\Identity\Api\View\DemoAccountView;
use ChalkLadder\Server\Identity\Api\View\StaffNameView;
use ChalkLadder\Server\Identity\TrailSubject;
use ChalkLadder\Server\Identity\TrailSubjects;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class StaffList extends ReadModel implements TrailSubjects
{
    /** Names of staff, for the lists of other rooms: `JOIN`ed as a table with the columns id and name. */
    public const NAMES = '(SELECT id, name FROM staff)';

    /** Those who teach in a team now: as NAMES, and team_id. */
    public const TEACHERS = "(SELECT id, name, team_id FROM staff WHERE role <> 'marker' AND left_at IS NULL)";

    /** @return list<StaffNameView> */
    public function names(string $teamId): array
    {
        $names = $this->pairs('SELECT id::text, name FROM staff WHERE team_id = :team ORDER BY name', ['team' => $teamId]);

        return array_map(static fn (string $id, string $name): StaffNameView => new StaffNameView($id, $name), array_keys($names), $names);
    }

    /** @return list<StaffNameView> those who teach, by name */
    public function teachers(string $teamId): array
    {
        $names = $this->pairs('SELECT id::text, name FROM '.self::TEACHERS.' s WHERE team_id = :team ORDER BY name', ['team' => $teamId]);

        return array_map(static fn (string $id, string $name): StaffNameView => new StaffNameView($id, $name), array_keys($names), $names);
    }

    /** @return array<string, string> ids of those who teach, by e-mail address */
    public function teachersByAddress(string $teamId): array
    {
        return $this->pairs(
            'SELECT s.email, s.id::text FROM staff s JOIN '.self::TEACHERS.' t ON t.id = s.id WHERE s.team_id = :team',
            ['team' => $teamId],
        );
    }

    /** @return array<string, string> names of all teams, by id */
    public function teams(): array
    {
        return $this->pairs('SELECT id::text, name FROM team ORDER BY name');
    }

    /** @return list<ColleagueView> */
    public function colleagues(string $teamId, string $without): array
    {
        /** @var list<array{id: string, name: string, email: string, role: string, here: bool}> $rows */
        $rows = $this->rows(
            'SELECT id, name, email, role, left_at IS NULL AS here FROM staff WHERE team_id = :team AND id <> :without ORDER BY name',
            ['team' => $teamId, 'without' => $without],
        );

        return array_map(static fn (array $r): ColleagueView => new ColleagueView($r['id'], $r['name'], $r['email'], $r['role'], $r['here']), $rows);
    }

    /** @return list<DemoAccountView> */
    public function demoAccounts(): array
    {
        /** @var list<array{email: string, name: string, role: string, team: string}> $rows */
        $rows = $this->rows("SELECT s.email, s.name, s.role, t.name AS team FROM staff s JOIN team t ON t.id = s.team_id
            WHERE s.email LIKE '%@demo.example' ORDER BY t.name, s.role, s.name");

        return array_map(
            static fn (array $r): DemoAccountView => new DemoAccountView($r['email'], $r['name'], $r['role'], $r['team']),
            $rows,
        );
    }

    public function named(string $teamId, array $ids): array
    {
        /** @var list<array{id: string, name: string, away: bool}> $rows */
        $rows = $this->rows('SELECT id::text, name, false AS away FROM staff WHERE team_id = :team AND id IN (:ids)
            UNION ALL SELECT id::text, name, false FROM team WHERE id = :team AND id IN (:ids)', ['team' => $teamId, 'ids' => $ids]);

        return TrailSubject::byId($rows);
    }
}
