<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Paper\Paper;
use ChalkLadder\Core\Sitting\Walk;

/** One sitting in marks: by question, best try each, over what the student's way led to. */
final readonly class Score
{
    /**
     * @param array<string, BigRational>             $marks    that count, by entry id
     * @param array<string, array<int, BigRational>> $tries    marks of each try that is marked, by entry id and try
     * @param array<string, int>                     $counting the try that counts, by entry id: the first of the best; absent while none is marked
     * @param list<string>                           $waiting  entries that still need a marker
     */
    private function __construct(
        public array $marks,
        public array $tries,
        public array $counting,
        public BigRational $total,
        public BigRational $possible,
        public array $waiting,
    ) {
    }

    /**
     * @param array<string, array<int, BigRational|null>> $credits by entry and try; null waits for a marker
     * @param BigRational                                 $step    the team's smallest mark
     */
    public static function of(Paper $paper, Walk $walk, array $credits, BigRational $step): self
    {
        $marks = $tries = $counting = $waiting = [];
        $total = BigRational::zero();
        $possible = BigRational::zero();
        foreach ($walk->steps($paper) as $at) {
            $entry = $paper->entry($at['entry']);
            if ($entry === null || isset($marks[$entry->id])) {
                continue;
            }
            $best = BigRational::zero();
            foreach ($credits[$entry->id] ?? [] as $try => $credit) {
                if ($credit === null) {
                    $waiting[$entry->id] = $entry->id;
                    continue;
                }
                $mark = Marks::of(Walk::bestCredit($paper, [$try => $credit]), $entry->points, $step);
                $tries[$entry->id][$try] = $mark;
                if (!isset($counting[$entry->id]) || $mark->isGreaterThan($best)) {
                    $counting[$entry->id] = $try;
                    $best = $mark;
                }
            }
            $marks[$entry->id] = $best;
            $total = $total->plus($best);
            $possible = $possible->plus($entry->points);
        }

        return new self($marks, $tries, $counting, $total->simplified(), $possible->simplified(), array_values($waiting));
    }
}
