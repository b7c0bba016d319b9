<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** A lasting part of a class. */
final readonly class GroupView
{
    /** @param list<string> $students ids of those who are in the class now */
    public function __construct(public string $id, public string $name, public array $students)
    {
    }
}
