<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class StudentSessionView
{
    public function __construct(public string $name)
    {
    }
}
