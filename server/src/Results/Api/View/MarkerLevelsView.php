<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What one marker gave. */
final readonly class MarkerLevelsView
{
    /** @param list<int|null> $levels index of the level for each criterion */
    public function __construct(public string $marker, public array $levels)
    {
    }
}
