<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

final readonly class HelpersView
{
    /** @param list<HelperView> $helpers who has handed in first */
    public function __construct(public array $helpers)
    {
    }
}
