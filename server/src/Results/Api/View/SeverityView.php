<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How much milder (above zero) or stricter a marker is than the others on the same answers. */
final readonly class SeverityView
{
    public function __construct(public string $marker, public FigureView $severity)
    {
    }
}
