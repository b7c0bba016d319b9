<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

use ChalkLadder\Core\Analysis\Question;

/** Columns of credit as steps for the partial credit model: each different credit of a question is one step above the one below it. */
final class Steps
{
    /** Credits are told apart to a thousandth. */
    private const FINE = 1000;

    /**
     * What was left blank has no credit; what was not reached, not given or still waits is not known.
     *
     * @param list<Question> $questions columns of equal length
     *
     * @return list<list<int|null>> by student and question, thousandths of the credit; {@see PartialCredit} counts them up
     */
    public static function of(array $questions, int $students): array
    {
        $rows = array_fill(0, $students, []);
        foreach ($questions as $question) {
            foreach (array_keys($question->cells) as $s) {
                $credit = $question->counts($s);
                $rows[$s][] = $credit === null ? null : (int) round($credit * self::FINE);
            }
        }

        return array_values($rows);
    }
}
