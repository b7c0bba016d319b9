<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** A class as it is before a school's files are taken. */
final readonly class ClassNow
{
    /**
     * @param string|null         $sourceId what the school's system calls it, where that is known
     * @param array<string, bool> $students who has a place in it, by id, and whether they are here now
     * @param list<string>        $teachers ids of staff
     */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $sourceId,
        public array $students,
        public array $teachers,
    ) {
    }
}
