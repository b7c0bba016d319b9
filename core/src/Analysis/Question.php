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
     * @param list<float|null>      $seconds time each student took to their answer (first try); empty where none is known
     * @param list<int|null>        $sure    how sure each student was, 1 to 3 (first try); empty where it was not asked
     * @param list<Part>            $parts   of what is not picked from options (first try)
     */
    public function __construct(
        public string $id,
        public float $points,
        public array $options,
        public array $cells,
        public array $credits,
        public array $picks,
        public array $seconds = [],
        public array $sure = [],
        public array $parts = [],
    ) {
    }

    /** The credit that counts for a student: of an answer, or of what was seen and left blank. Null for what was not reached or waits. */
    public function counts(int $student): ?float
    {
        $cell = $this->cells[$student] ?? null;

        return $cell === Cell::Answered || $cell === Cell::Omitted ? $this->credits[$student] : null;
    }
}
