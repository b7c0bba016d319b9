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

    /** How long such a question is taken to need, in seconds, while no record says otherwise. */
    public function seconds(): float
    {
        return match ($this) {
            self::Choice, self::Text => 30.0,
            self::Number, self::Order, self::Match, self::Spot => 60.0,
            self::Expression, self::Gaps, self::Plot, self::Table => 90.0,
            self::Open, self::Working, self::Recording, self::Upload, self::Floor => 240.0,
        };
    }

    /** Marked with a rubric, by hand. */
    public function hasRubric(): bool
    {
        return in_array($this, [self::Open, self::Working, self::Recording, self::Upload], true);
    }
}
