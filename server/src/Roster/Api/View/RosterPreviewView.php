<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\View;

final readonly class RosterPreviewView
{
    /**
     * @param list<RosterLineView> $lines
     * @param int                  $adds  how many come into the class
     */
    public function __construct(public array $lines, public int $adds)
    {
    }
}
