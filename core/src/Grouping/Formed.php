<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/** Groups as they were formed, with how good they are and what could not be kept. */
final readonly class Formed
{
    /**
     * @param list<Group>  $groups
     * @param float        $value   of the aim, in the measure's unit
     * @param float        $cost    what the search made small: 10⁶ for each broken constraint, and the aim
     * @param float        $start   the same of the greedy start, which the search never falls behind
     * @param float|null   $bound   what no grouping can pass, constraints or not; null where it is not known
     * @param string       $measure what the value counts, in words
     * @param list<string> $broken  constraints that are not kept
     * @param string|null  $clash   why they cannot all be kept, where that was found
     */
    public function __construct(
        public array $groups,
        public float $value,
        public float $cost,
        public float $start,
        public ?float $bound,
        public string $measure,
        public array $broken,
        public ?string $clash,
    ) {
    }
}
