<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class MisconceptionView
{
    /** @param list<HolderView> $students who have shown it, the likeliest first */
    public function __construct(public string $id, public string $name, public string $nextStep, public int $likely, public array $students)
    {
    }
}
