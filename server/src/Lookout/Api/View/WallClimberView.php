<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class WallClimberView
{
    public function __construct(public string $name, public float $rungs)
    {
    }
}
