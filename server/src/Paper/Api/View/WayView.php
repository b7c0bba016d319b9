<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** A way through a paper, and how many went it. */
final readonly class WayView
{
    public function __construct(public string $way, public ShareView $students)
    {
    }
}
