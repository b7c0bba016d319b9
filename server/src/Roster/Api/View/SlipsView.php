<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class SlipsView
{
    /** @param list<SlipView> $slips */
    public function __construct(public string $class, public string $code, public array $slips)
    {
    }
}
