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

    /**
     * What several attempts at one question come to: their mean credit, an omitted one counting as none and one that was
     * not given or not reached not at all. Where one still waits for a marker, the whole waits.
     *
     * @param non-empty-list<array{self, float|null}> $attempts cell and credit, in order
     *
     * @return array{self, float|null}
     */
    public static function mean(array $attempts): array
    {
        $cells = array_column($attempts, 0);
        if (in_array(self::Waiting, $cells, true)) {
            return [self::Waiting, null];
        }
        $credits = array_values(array_filter(array_column($attempts, 1), is_float(...)));
        if ($credits === []) {
            return [in_array(self::NotReached, $cells, true) ? self::NotReached : self::NotGiven, null];
        }

        return [in_array(self::Answered, $cells, true) ? self::Answered : self::Omitted, array_sum($credits) / count($credits)];
    }
}
