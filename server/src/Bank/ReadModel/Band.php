<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\ReadModel;

/** How many were right so far, roughly: what a teacher looks for when a question is to be easy or hard. */
enum Band: string
{
    case Low = 'low';
    case Middle = 'middle';
    case High = 'high';
    case NotSat = 'none';

    /** @param float|null $facility mean credit so far; null where nobody has sat it */
    public static function of(?float $facility): self
    {
        return match (true) {
            $facility === null => self::NotSat,
            $facility < 0.4 => self::Low,
            $facility <= 0.7 => self::Middle,
            default => self::High,
        };
    }
}
