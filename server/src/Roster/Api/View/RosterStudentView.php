<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class RosterStudentView
{
    public function __construct(public string $id, public string $name, public string $joinedAt)
    {
    }
}
