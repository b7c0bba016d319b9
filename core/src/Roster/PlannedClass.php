<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** What becomes of one class. */
final readonly class PlannedClass
{
    /**
     * @param string|null          $id       null for one that is made
     * @param string               $name     what it is called afterwards
     * @param string|null          $was      what it is called now, where that changes
     * @param bool                 $taken    false where it was left out by hand: then nothing of it is done
     * @param list<PlannedStudent> $students
     * @param list<string>         $teachers ids of staff whose class it becomes besides
     * @param int                  $others   students who are here and of whom the files say nothing; they stay
     */
    public function __construct(
        public string $sourceId,
        public ?string $id,
        public string $name,
        public ?string $was,
        public bool $taken,
        public array $students,
        public array $teachers,
        public int $others,
    ) {
    }
}
