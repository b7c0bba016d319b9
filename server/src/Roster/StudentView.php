<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

final readonly class StudentView
{
    public function __construct(public string $id, public string $name, public string $joinedAt)
    {
    }
}
