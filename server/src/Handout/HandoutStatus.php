<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

enum HandoutStatus: string
{
    case Hidden = 'hidden';
    case Scheduled = 'scheduled';
    case Open = 'open';
    case Closed = 'closed';
}
