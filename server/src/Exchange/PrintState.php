<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Exchange;

enum PrintState: string
{
    case Waiting = 'waiting';
    case Working = 'working';
    case Done = 'done';
    case Failed = 'failed';
    case Cancelled = 'cancelled';
}
