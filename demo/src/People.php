<?php

declare(strict_types=1);

namespace ChalkLadder\Demo;

use ChalkLadder\Demo\ReadModel\DemoReader;
use ChalkLadder\Server\Identity\Api\Input\TeamInput;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\GroupInput;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Api\Input\TeachersInput;
use ChalkLadder\Server\Roster\Groups;
use ChalkLadder\Server\Roster\Places;
use ChalkLadder\Server\Roster\Rosters;
use ChalkLadder\Server\Roster\StudentUser;

/** The demo's teams, classes and simulated students. */
final readonly class People
{
    public function __construct(
        private Scenario $scenario,
        private DemoReader $reader,
        private Teams $teams,
        private Staff $staff,
        private Rosters $rosters,
        private Places $places,
        private Groups $groups,
    ) {
    }

    /** @return array{lead: StaffUser, teacher: StaffUser, marker: StaffUser} */
    public function team(): array
    {
        $team = $this->teams->found('Kelpwick Harbour · Year 8');
        $made = [];
        foreach ($this->scenario->people('staff') as $person) {
            $user = $this->person($team, Scenario::map($person));
            $made[$user->role->value] ??= $user;
        }
        $pages = array_values(array_map(Scenario::text(...), $this->scenario->people('framed by')));
        $other = $this->teams->found('Saltmarsh Academy · Geography');
        $this->person($other, $this->scenario->people('stranger'));

        $lead = $made['lead'] ?? throw new \LogicException('The demo names a lead.');
        $this->teams->set($lead, new TeamInput(framedBy: $pages));

        return [
            'lead' => $lead,
            'teacher' => $made['teacher'] ?? throw new \LogicException('The demo names a teacher.'),
            'marker' => $made['marker'] ?? throw new \LogicException('The demo names a marker.'),
        ];
    }

    /** @return array<string, string> class ids by name */
    public function classes(StaffUser $who): array
    {
        $ids = [];
        $staff = array_column($this->staff->teachers($who->teamId), 'id', 'name');
        foreach ($this->scenario->people('classes') as $name => $class) {
            $told = Scenario::map($class);
            $words = static fn (mixed $list): array => array_values(array_map(Scenario::text(...), Scenario::map($list)));
            $id = $this->rosters->create($who, new ClassInput((string) $name))->id;
            $this->places->add($who, $id, new RosterInput(implode("\n", $words($told['names'] ?? []))));
            $teachers = array_map(static fn (string $name): string => $staff[$name], $words($told['teachers'] ?? []));
            $members = array_column($this->rosters->taughtBy($who, $id, new TeachersInput($teachers))->students, 'id', 'name');
            foreach (Scenario::map($told['groups'] ?? []) as $group => $names) {
                $in = array_map(static fn (string $name): string => $members[$name], $words($names));
                $this->groups->make($who, $id, new GroupInput((string) $group, $in));
            }
            $ids[(string) $name] = $id;
        }

        return $ids;
    }

    /** @return array<string, array{sim: SimulatedStudent, user: StudentUser, class: string}> by student id */
    public function students(): array
    {
        $ideas = array_map(strval(...), array_keys($this->scenario->bank('misconceptions')));
        $students = [];
        foreach ($this->reader->students() as $row) {
            $class = Scenario::map($this->scenario->people('classes')[$row['class']] ?? null);
            $lean = is_numeric($class['lean'] ?? null) ? (float) $class['lean'] : 0.0;
            $behind = Scenario::text($class['behind'] ?? '');
            $students[$row['id']] = [
                'sim' => SimulatedStudent::born($row['id'], $row['name'], $lean, $ideas, $behind === '' ? [] : [$behind => -1.3]),
                'user' => new StudentUser($row['id'], $row['team'], $row['name']),
                'class' => $row['class'],
            ];
        }

        return $students;
    }

    /** @param array<array-key, mixed> $person role, name, address */
    private function person(string $team, array $person): StaffUser
    {
        $role = Role::from(Scenario::text($person[0] ?? 'teacher'));
        $name = Scenario::text($person[1] ?? '');

        return new StaffUser(
            $this->staff->create($team, Scenario::text($person[2] ?? ''), $name, $role, Staff::DEMO_PASSWORD),
            $team,
            $name,
            $role,
        );
    }
}
