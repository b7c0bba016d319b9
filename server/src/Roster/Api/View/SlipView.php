<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** What a student needs to join, for a printed slip. */
final readonly class SlipView
{
    public function __construct(public string $name, public string $pin)
    {
    }
}
