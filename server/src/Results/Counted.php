<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Report;

/** What counts of a handout, and what the core made of it. */
final readonly class Counted
{
    public function __construct(public Columns $columns, public Report $report)
    {
    }
}
