<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\ReadModel;

use ChalkLadder\Server\Identity\Api\View\DemoAccountView;
use ChalkLadder\Server\Identity\Api\View\StaffNameView;
use ChalkLadder\Server\Platform\Storage\ReadModel;

final readonly class StaffList extends ReadModel
{
    /** Names of staff, for the lists of other rooms: `JOIN`ed as a table with the columns id and name. */
    public const NAMES = '(SELECT id, name FROM staff)';

    /** @return list<StaffNameView> */
    public function names(string $teamId): array
    {
        $names = $this->pairs('SELECT id::text, name FROM staff WHERE team_id = :team ORDER BY name', ['team' => $teamId]);

        return array_map(static fn (string $id, string $name): StaffNameView => new StaffNameView($id, $name), array_keys($names), $names);
    }

    /** @return list<DemoAccountView> */
    public function demoAccounts(): array
    {
        /** @var list<array{email: string, name: string, role: string, team: string}> $rows */
        $rows = $this->rows("SELECT s.email, s.name, s.role, t.name AS team FROM staff s JOIN team t ON t.id = s.team_id
            WHERE s.email LIKE '%@demo.example' ORDER BY t.name, s.role, s.name");

        return array_map(static fn (array $r): DemoAccountView => new DemoAccountView($r['email'], $r['name'], $r['role'], $r['team']), $rows);
    }
}
