<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** A class of a school's files, and what would become of it. */
final readonly class FiledClassView
{
    /**
     * @param string                 $key      what the school's system calls it
     * @param bool                   $known    it is here already
     * @param string|null            $was      what it is called now, where that changes
     * @param bool                   $taken    it was not left out by hand
     * @param list<FiledStudentView> $students those of whom something changes
     * @param int                    $here     students who are here and stay as they are
     * @param int                    $others   students who are here and of whom the files say nothing; they stay
     * @param list<string>           $teachers names of those whose class it becomes besides
     */
    public function __construct(
        public string $key,
        public bool $known,
        public string $name,
        public ?string $was,
        public bool $taken,
        public array $students,
        public int $here,
        public int $others,
        public array $teachers,
    ) {
    }
}
