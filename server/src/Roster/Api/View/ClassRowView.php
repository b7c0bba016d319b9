<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** A class in the list. */
final readonly class ClassRowView
{
    public function __construct(public string $id, public string $name, public string $code, public int $students)
    {
    }
}
