<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** The versions of a question. */
final readonly class HistoryView
{
    /** @param list<VersionLineView> $versions the one that holds first */
    public function __construct(public array $versions)
    {
    }
}
