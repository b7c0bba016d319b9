<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

use ChalkLadder\Server\Identity\Api\View\StaffNameView;

final readonly class RosterView
{
    /**
     * @param list<RosterStudentView> $students by name
     * @param list<LeaverView>        $left     by name
     * @param list<GroupView>         $groups   by name
     * @param list<string>            $teachers ids of those whose class it is; nobody where it is everybody's
     * @param bool                    $pictures its students may come in by three pictures
     * @param list<StaffNameView>     $staff    the team's teachers, to choose from
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $code,
        public array $students,
        public array $left,
        public array $groups,
        public array $teachers,
        public array $staff,
        public bool $pictures,
    ) {
    }
}
