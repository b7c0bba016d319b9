<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** Where one attempt stands. A handout's student with no sitting yet is *expected*. */
enum SittingState: string
{
    case Expected = 'expected';
    case Open = 'open';
    case HandedIn = 'handed in';
    case Marked = 'marked';
    case Returned = 'returned';

    public function isOver(): bool
    {
        return $this !== self::Expected && $this !== self::Open;
    }

    public function turn(): Turn
    {
        return match ($this) {
            self::Expected, self::Open => Turn::Student,
            self::HandedIn => Turn::Marker,
            self::Marked, self::Returned => Turn::Nobody,
        };
    }

    /** The state of a sitting that has been handed in, by what still waits for a marker. */
    public static function afterMarking(bool $someWait): self
    {
        return $someWait ? self::HandedIn : self::Marked;
    }
}
