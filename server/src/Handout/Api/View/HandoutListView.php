<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api\View;

final readonly class HandoutListView
{
    /** @param list<HandoutView> $handouts the latest first */
    public function __construct(public array $handouts)
    {
    }
}
