<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class StudentSessionView
{
    /** @param string $id the student's own; what is kept on a device is named by it */
    public function __construct(public string $name, public string $id)
    {
    }
}
