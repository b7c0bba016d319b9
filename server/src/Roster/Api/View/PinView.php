<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class PinView
{
    /** @param list<string> $pictures three things, where the class comes in by them */
    public function __construct(public string $pin, public array $pictures = [])
    {
    }
}
