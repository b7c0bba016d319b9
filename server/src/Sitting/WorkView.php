<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

final readonly class WorkView
{
    /** @param list<WorkRowView> $handouts */
    public function __construct(public string $name, public array $handouts)
    {
    }
}
