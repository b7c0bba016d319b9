<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** Somebody of whom a school's files tell. */
final readonly class FiledPerson
{
    /** @param bool $gone they have left the school */
    public function __construct(
        public string $sourceId,
        public string $name,
        public string $email,
        public bool $gone,
        public int $line,
    ) {
    }
}
