<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Question;

/** The counting attempt of every student, in columns: the n-th cell of each question is the n-th student's. */
final readonly class Columns
{
    /**
     * @param list<CountedStudent>                $students
     * @param list<Question>                      $questions
     * @param list<array<string, Evidence>>       $evidence for each student, by misconception id
     * @param array<string, list<CountedAnswer>>  $answered by entry: what each student who answered gave
     */
    public function __construct(public array $students, public array $questions, public array $evidence, public array $answered)
    {
    }

    /** How many answers still wait for a marker, over all students. */
    public function waiting(): int
    {
        return array_sum(array_map(
            static fn (Question $q): int => count(array_filter($q->cells, static fn (Cell $c): bool => $c === Cell::Waiting)),
            $this->questions,
        ));
    }
}
