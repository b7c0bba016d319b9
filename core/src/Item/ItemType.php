<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

enum ItemType: string
{
    case Choice = 'choice';
    case Text = 'text';
    case Number = 'number';
    case Expression = 'expression';
    case Gaps = 'gaps';
    case Order = 'order';
    case Match = 'match';
    case Spot = 'spot';
    case Plot = 'plot';
    case Table = 'table';
    case Open = 'open';
    case Working = 'working';
    case Recording = 'recording';
    case Upload = 'upload';
    case Floor = 'floor';

    /** Marked with a rubric, by hand. */
    public function hasRubric(): bool
    {
        return in_array($this, [self::Open, self::Working, self::Recording, self::Upload], true);
    }
}
