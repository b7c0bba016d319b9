<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\View;

final readonly class KeptPlansView
{
    /** @param list<KeptPlanView> $plans the team's own, by name */
    public function __construct(public array $plans)
    {
    }
}
