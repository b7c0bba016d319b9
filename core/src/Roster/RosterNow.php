<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** A team's classes and students before a school's files are taken. */
final readonly class RosterNow
{
    /**
     * @param list<ClassNow>        $classes
     * @param array<string, string> $names   of the students, by id
     * @param array<string, string> $sources whom the school's system means, by what it calls them
     * @param array<string, string> $staff   ids of those who teach, by e-mail address in lower case
     */
    public function __construct(public array $classes, public array $names, public array $sources, public array $staff)
    {
    }
}
