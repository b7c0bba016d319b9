<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** How right those were who said that they were so sure. */
final readonly class SureView
{
    /** @param int $level 1 guessing, 2 fairly sure, 3 sure */
    public function __construct(public int $level, public FigureView $credit)
    {
    }
}
