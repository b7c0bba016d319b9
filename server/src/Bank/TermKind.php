<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** What questions are named by. */
enum TermKind: string
{
    case Skill = 'skills';
    case Misconception = 'misconceptions';
}
