<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

final readonly class TermsView
{
    /**
     * @param list<TermView> $skills
     * @param list<TermView> $misconceptions
     * @param list<string>   $units          unit symbols that number questions understand
     * @param list<string>   $rungs          names of the team's level bands, the lowest first
     */
    public function __construct(public array $skills, public array $misconceptions, public array $units, public array $rungs)
    {
    }
}
