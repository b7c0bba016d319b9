<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** That somebody learns or teaches in a class, as a school's files tell it. */
final readonly class FiledPlace
{
    /** @param bool $gone they do no longer */
    public function __construct(
        public string $class,
        public string $person,
        public bool $teaches,
        public bool $gone,
        public int $line,
    ) {
    }
}
