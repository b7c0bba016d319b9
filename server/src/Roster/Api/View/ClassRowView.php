<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** A class in the list. */
final readonly class ClassRowView
{
    /**
     * @param string $teachers names of those whose class it is; nothing where it is everybody's
     * @param bool   $mine     whether it is the asker's own
     */
    public function __construct(
        public string $id,
        public string $name,
        public string $code,
        public int $students,
        public string $teachers,
        public bool $mine,
    ) {
    }
}
