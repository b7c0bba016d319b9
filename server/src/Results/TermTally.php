<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

/** What one handout says of skills and wrong ideas. */
final readonly class TermTally
{
    /**
     * @param array<string, list<string>>         $met     ids of the students who answered a question that offers it, by misconception
     * @param array<string, list<string>>         $shown   ids of those who showed it, by misconception
     * @param array<string, array<string, float>> $credits 0…1, by entry and student
     */
    public function __construct(public array $met, public array $shown, public array $credits)
    {
    }

    public static function of(Columns $columns): self
    {
        $met = $shown = $credits = [];
        foreach ($columns->students as $s => $student) {
            foreach ($columns->evidence[$s] as $id => $evidence) {
                $met[$id][] = $student->studentId;
                if ($evidence->shown > 0) {
                    $shown[$id][] = $student->studentId;
                }
            }
            foreach ($columns->questions as $question) {
                $credit = $question->counts($s);
                if ($credit !== null) {
                    $credits[$question->id][$student->studentId] = $credit;
                }
            }
        }

        return new self($met, $shown, $credits);
    }
}
