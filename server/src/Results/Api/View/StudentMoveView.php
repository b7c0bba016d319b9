<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** One student's share of the marks, before and after. */
final readonly class StudentMoveView
{
    public function __construct(public string $studentId, public string $name, public float $before, public float $after)
    {
    }
}
