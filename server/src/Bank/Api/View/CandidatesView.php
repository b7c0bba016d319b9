<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class CandidatesView
{
    /** @param list<CandidateView> $candidates */
    public function __construct(public array $candidates)
    {
    }
}
