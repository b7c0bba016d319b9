<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

/** What a student needs to join, for a printed slip. */
final readonly class SlipView
{
    /** @param list<string> $pictures three things, where the class comes in by them */
    public function __construct(public string $name, public string $pin, public array $pictures = [])
    {
    }
}
