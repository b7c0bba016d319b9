<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

final readonly class RosterInput
{
    /** @param list<int> $skip line numbers of the list that are left out */
    public function __construct(public string $text = '', public array $skip = [])
    {
    }
}
