<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Sitting\Support;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\ReadModel\RosterList;

/** Who is meant by classes and students that a request names. */
final readonly class Students
{
    public function __construct(private RosterList $rosters)
    {
    }

    /**
     * @param list<string> $classes
     * @param list<string> $students
     *
     * @return list<string> ids, each once
     */
    public function among(string $teamId, array $classes, array $students): array
    {
        $classes = array_values(array_unique($classes));
        $students = array_values(array_unique($students));
        if (count($this->rosters->classesAmong($teamId, $classes)) !== count($classes)) {
            throw Problem::invalid(['classes' => 'One of these classes was not found.']);
        }
        if (count($this->names($teamId, $students)) !== count($students)) {
            throw Problem::invalid(['students' => 'One of these students was not found.']);
        }

        return array_values(array_unique([...$this->rosters->membersOf($classes), ...$students]));
    }

    /**
     * @param list<string> $ids
     *
     * @return array<string, string> by id; whoever is not of the team is absent
     */
    public function names(string $teamId, array $ids): array
    {
        return $this->rosters->studentNames($teamId, $ids);
    }

    public function supportOf(string $teamId, string $id): Support
    {
        return $this->rosters->supportOf($teamId, $id);
    }

    public function name(string $teamId, string $id): string
    {
        return $this->names($teamId, [$id])[$id] ?? '';
    }
}
