<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class TermRecordView
{
    /** @param FigureView $figure of a skill the mean credit, of a misconception the share of those who showed it; n are students */
    public function __construct(public string $id, public FigureView $figure)
    {
    }
}
