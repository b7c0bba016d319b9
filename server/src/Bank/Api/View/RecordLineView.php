<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** How often an answer line was taken over all uses: an option, a form or a target. */
final readonly class RecordLineView
{
    public function __construct(public string $line, public int $count)
    {
    }
}
