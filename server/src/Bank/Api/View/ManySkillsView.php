<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What the questions were evidence of before, so that it can be taken back. */
final readonly class ManySkillsView
{
    /** @param array<string, string|null> $before a skill's id or null, by question */
    public function __construct(public array $before)
    {
    }
}
