<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

/** One thing in which a paper is not what it was. */
final readonly class Difference
{
    /** @param string $where the id of the entry or section as it is now, or '' for the whole or what is gone */
    public function __construct(public string $says, public string $where = '')
    {
    }
}
