<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class HelpsView
{
    /** @param list<HelpView> $helps of a handout, the latest first */
    public function __construct(public array $helps)
    {
    }
}
