<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class PinView
{
    public function __construct(public string $pin)
    {
    }
}
