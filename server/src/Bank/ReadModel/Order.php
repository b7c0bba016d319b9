<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

/** By what the bank's list is sorted. */
enum Order: string
{
    case Latest = 'latest';
    case Title = 'title';
    case Type = 'type';
    case Marks = 'marks';

    public function sql(): string
    {
        return match ($this) {
            self::Latest => 'i.updated_at DESC, i.id',
            self::Title => 'lower(i.title), i.id',
            self::Type => 'i.type, lower(i.title), i.id',
            // Marks are exact, such as 3/2.
            self::Marks => "split_part(i.content ->> 'points', '/', 1)::numeric
                / coalesce(nullif(split_part(i.content ->> 'points', '/', 2), ''), '1')::numeric, lower(i.title), i.id",
        };
    }
}
