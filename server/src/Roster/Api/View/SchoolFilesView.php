<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** What a school's files would change. */
final readonly class SchoolFilesView
{
    /**
     * @param list<FiledClassView> $classes
     * @param list<FiledNameView>  $renames
     * @param list<string>         $gone    names of students who leave all their classes
     * @param list<LeftAloneView>  $left    the first of them
     * @param int                  $leftAll how many there are
     * @param list<string>         $faults  files that could not be read, each with its place
     * @param list<string>         $others  names of files that are not read
     * @param int                  $changes how many things would be done
     */
    public function __construct(
        public array $classes,
        public array $renames,
        public array $gone,
        public array $left,
        public int $leftAll,
        public array $faults,
        public array $others,
        public int $changes,
    ) {
    }
}
