<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

/** A student who cannot be placed by results that are not there. */
final readonly class AbsentView
{
    public function __construct(public string $studentId, public string $name)
    {
    }
}
