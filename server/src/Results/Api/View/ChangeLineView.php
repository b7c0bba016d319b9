<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** Mean share of the marks before and after, and the mean of each student's difference. */
final readonly class ChangeLineView
{
    /** @param string|null $skill null for the whole */
    public function __construct(public ?string $skill, public float $before, public float $after, public FigureView $change)
    {
    }
}
