<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How one class did. */
final readonly class ClassUseView
{
    public function __construct(public string $name, public FigureView $facility)
    {
    }
}
