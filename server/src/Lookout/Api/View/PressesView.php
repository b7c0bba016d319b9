<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

final readonly class PressesView
{
    /** @param list<PressView> $presses what became of each, in their order */
    public function __construct(public array $presses)
    {
    }
}
