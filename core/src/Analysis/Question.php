<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** A question as results see it: columns over students. */
final readonly class Question
{
    /**
     * @param array<string, bool>   $options option id => is it a key; empty where there are none
     * @param list<Cell>            $cells   one for each student
     * @param list<float|null>      $credits 0…1 for each student; null unless answered or omitted
     * @param list<list<string>>    $picks   the option ids each student took (first try)
     */
    public function __construct(
        public string $id,
        public float $points,
        public array $options,
        public array $cells,
        public array $credits,
        public array $picks,
    ) {
    }
}
