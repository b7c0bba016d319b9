<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** What a school's files would change. */
final readonly class RosterPlan
{
    /**
     * @param list<PlannedClass>    $classes
     * @param array<string, string> $renames new names of known students, by id
     * @param array<string, string> $links   what the school's system calls known students of whom it had not told before, by id
     * @param list<string>          $gone    ids of known students who leave all their classes
     * @param list<LeftAlone>       $left
     */
    public function __construct(
        public array $classes,
        public array $renames,
        public array $links,
        public array $gone,
        public array $left,
    ) {
    }
}
