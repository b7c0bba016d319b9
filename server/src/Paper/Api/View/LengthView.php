<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** How many students answered so many questions, returns counted. */
final readonly class LengthView
{
    public function __construct(public int $questions, public int $students)
    {
    }
}
