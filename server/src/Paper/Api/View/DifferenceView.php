<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class DifferenceView
{
    /** @param string $where the id of the entry or section it is about, or '' */
    public function __construct(public string $says, public string $where)
    {
    }
}
