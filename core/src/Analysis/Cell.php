<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Why a student has, or has not, a credit on a question. */
enum Cell
{
    case Answered;
    /** Seen, no answer. Counts as no credit. */
    case Omitted;
    /** No answer here or anywhere after it. Does not count. */
    case NotReached;
    /** The student's route did not lead here. Does not count. */
    case NotGiven;
    /** Waits for a marker. Does not count yet. */
    case Waiting;

    /**
     * Tells omitted and not reached apart.
     *
     * @param list<bool> $answered in the order shown to the student
     *
     * @return list<self>
     */
    public static function ofOrder(array $answered): array
    {
        $last = -1;
        foreach ($answered as $i => $yes) {
            $last = $yes ? $i : $last;
        }
        $cells = [];
        foreach ($answered as $i => $yes) {
            $cells[] = $yes ? self::Answered : ($i < $last ? self::Omitted : self::NotReached);
        }

        return $cells;
    }
}
