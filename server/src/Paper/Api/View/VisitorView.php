<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

final readonly class VisitorView
{
    /** @param string $part section or entry that they are at, or '' */
    public function __construct(public string $name, public string $part)
    {
    }
}
