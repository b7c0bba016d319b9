<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class RosterView
{
    /** @param list<RosterStudentView> $students by name */
    public function __construct(public string $id, public string $name, public string $code, public array $students)
    {
    }
}
