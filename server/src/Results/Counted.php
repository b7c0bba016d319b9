<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Report;

/** The counting attempt of every student, in columns, and what the core made of them. */
final readonly class Counted
{
    /**
     * @param list<array{studentId: string, sittingId: string, name: string, marks: float, of: float, waiting: float, share: float|null, attempt: int, others: list<float>, averaged: list<float>, state: string}> $students
     * @param list<Question>                         $questions
     * @param list<array<string, Evidence>>          $evidence  for each student, by misconception id
     * @param array<string, list<array{string, string}>> $written by entry: [answer, verdict] of each first try without options
     */
    public function __construct(public array $students, public array $questions, public array $evidence, public array $written, public Report $report)
    {
    }

    /** How many questions still wait for a marker, over all students. */
    public function waiting(): int
    {
        $waiting = 0;
        foreach ($this->questions as $question) {
            $waiting += count(array_filter($question->cells, static fn (Cell $c): bool => $c === Cell::Waiting));
        }

        return $waiting;
    }
}
