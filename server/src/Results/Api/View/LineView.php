<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A written answer and how many gave it, for questions without options. */
final readonly class LineView
{
    public function __construct(public string $answer, public int $count, public string $verdict)
    {
    }
}
