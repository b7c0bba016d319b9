<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** Who else is at a paper, and up to which version its draft has come. */
final readonly class HereView
{
    /** @param list<VisitorView> $others */
    public function __construct(public int $version, public array $others)
    {
    }
}
