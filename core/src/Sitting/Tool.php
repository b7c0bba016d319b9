<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** What a student is offered beside the questions. */
enum Tool: string
{
    case Calculator = 'calculator';
    case RoughPaper = 'rough paper';
}
