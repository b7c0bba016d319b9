<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

enum Role: string
{
    case Lead = 'lead';
    case Teacher = 'teacher';
    case Marker = 'marker';

    /** @return list<string> */
    public static function names(): array
    {
        return array_column(self::cases(), 'value');
    }
}
