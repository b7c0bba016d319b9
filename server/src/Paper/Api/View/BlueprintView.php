<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** What a draft asks, skill by skill. */
final readonly class BlueprintView
{
    /** @param list<BlueprintRowView> $rows */
    public function __construct(public array $rows, public BlueprintRowView $whole)
    {
    }
}
