<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Roster;

/** A class as a school's files name it. */
final readonly class FiledClass
{
    /** @param bool $gone it is to be removed */
    public function __construct(public string $sourceId, public string $title, public bool $gone, public int $line)
    {
    }
}
