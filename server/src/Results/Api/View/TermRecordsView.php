<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class TermRecordsView
{
    /** @param list<TermRecordView> $records of each skill and misconception of the team */
    public function __construct(public array $records)
    {
    }
}
