<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** Students of the team who get support. */
final readonly class SupportedView
{
    /** @param list<SupportedStudentView> $students by name */
    public function __construct(public array $students)
    {
    }
}
