<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class FiledStudentView
{
    /** @param string $fate one of add, join, back, leave, clash */
    public function __construct(public string $name, public string $fate)
    {
    }
}
