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
     * @param array<string, BigRational> $marks    by entry id
     * @param list<string>               $waiting  entries that still need a marker
     */
    private function __construct(public array $marks, public BigRational $total, public BigRational $possible, public array $waiting)
    {
    }

    /**
     * @param array<string, array<int, BigRational|null>> $credits by entry and try; null waits for a marker
     * @param BigRational                                 $step    the team's smallest mark
     */
    public static function of(Paper $paper, Walk $walk, array $credits, BigRational $step): self
    {
        $marks = [];
        $waiting = [];
        $total = BigRational::zero();
        $possible = BigRational::zero();
        foreach ($walk->steps($paper) as $at) {
            $entry = $paper->entry($at['entry']);
            if ($entry === null || isset($marks[$entry->id])) {
                continue;
            }
            $known = array_filter($credits[$entry->id] ?? [], static fn (?BigRational $c): bool => $c !== null);
            if (count($known) < count($credits[$entry->id] ?? [])) {
                $waiting[] = $entry->id;
            }
            $marks[$entry->id] = $known === [] ? BigRational::zero() : Marks::of(Walk::bestCredit($paper, $known), $entry->points, $step);
            $total = $total->plus($marks[$entry->id]);
            $possible = $possible->plus($entry->points);
        }

        return new self($marks, $total->simplified(), $possible->simplified(), $waiting);
    }
}
