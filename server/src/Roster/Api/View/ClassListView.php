<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class ClassListView
{
    /** @param list<ClassRowView> $classes */
    public function __construct(public array $classes)
    {
    }
}
