<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class SupportedStudentView
{
    /** @param string $class the first by name that they are in */
    public function __construct(public string $id, public string $name, public string $class, public SupportView $support)
    {
    }
}
