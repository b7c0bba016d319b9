<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Whose turn it is. */
enum Turn: string
{
    case Student = 'student';
    case Marker = 'marker';
    case Nobody = 'nobody';
}
