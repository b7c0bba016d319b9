<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

/** From when on a student is told a thing, in the order in which their work passes these moments. */
enum ToldFrom: string
{
    /** as soon as an answer is settled, which cannot be changed from then on */
    case AtOnce = 'at once';
    /** each student for themselves */
    case HandedIn = 'handed in';
    /** nobody sits any more */
    case Closed = 'closed';
    /** the teacher has given the work back */
    case Returned = 'returned';
    case Never = 'never';

    /**
     * The last moment that work has passed.
     *
     * @param bool $closed the handout was closed after the work had been handed in
     */
    public static function reached(SittingState $state, bool $closed): self
    {
        return match (true) {
            !$state->isOver() => self::AtOnce,
            $state === SittingState::Returned => self::Returned,
            default => $closed ? self::Closed : self::HandedIn,
        };
    }

    /** Whether what is told from here on is told to work that has reached another moment. */
    public function isBy(self $reached): bool
    {
        return $this !== self::Never && $this->place() <= $reached->place();
    }

    public function isBefore(self $other): bool
    {
        return $this->place() < $other->place();
    }

    private function place(): int
    {
        return (int) array_search($this, self::cases(), true);
    }
}
