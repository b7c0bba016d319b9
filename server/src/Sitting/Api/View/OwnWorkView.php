<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class OwnWorkView
{
    /** @param list<OwnWorkRowView> $handouts */
    public function __construct(public string $name, public array $handouts)
    {
    }
}
