<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** How far the work of a handout is from being back with its students. */
final readonly class ReturnStateView
{
    /** @param list<ReturnLineView> $students by name */
    public function __construct(public array $students)
    {
    }
}
