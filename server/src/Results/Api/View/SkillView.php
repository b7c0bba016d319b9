<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A skill of the paper, with what the whole has shown of it. */
final readonly class SkillView
{
    public function __construct(public string $id, public string $name, public int $questions, public FigureView $share)
    {
    }
}
