<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

use ChalkLadder\Core\Analysis\Question;

/** Right or wrong: students × questions, null where a question was not reached, not given, or still waits. */
final readonly class Binary
{
    /**
     * @param list<string>         $ids  of the questions
     * @param list<list<int|null>> $rows 0, 1 or null, by student and question
     */
    public function __construct(public array $ids, public array $rows)
    {
    }

    /**
     * From columns of credit. What was left blank is wrong; what was not reached is not known.
     *
     * @param list<Question> $questions columns of equal length
     *
     * @throws \DomainException when a credit is neither 0 nor 1: these models know no part credit
     */
    public static function of(array $questions, int $students): self
    {
        $rows = array_fill(0, $students, []);
        foreach ($questions as $question) {
            foreach (array_keys($question->cells) as $s) {
                $credit = $question->counts($s);
                if (!in_array($credit, [null, 0.0, 1.0], true)) {
                    throw new \DomainException(sprintf('question "%s" has part credit; this model takes right or wrong', $question->id));
                }
                $rows[$s][] = $credit === null ? null : (int) $credit;
            }
        }

        return new self(array_map(static fn (Question $q): string => $q->id, $questions), array_values($rows));
    }

    /**
     * The students and questions that say something: without students who have all or nothing of what they answered,
     * without questions that all or none have right, until nothing more falls out.
     *
     * @return array{rows: list<int>, columns: list<int>} places that stay
     */
    public function informative(): array
    {
        $rows = array_keys($this->rows);
        $columns = array_keys($this->ids);
        do {
            $before = [count($rows), count($columns)];
            $rows = array_values(array_filter($rows, function (int $r) use ($columns): bool {
                $sum = $n = 0;
                foreach ($columns as $c) {
                    $x = $this->rows[$r][$c];
                    if ($x !== null) {
                        $sum += $x;
                        ++$n;
                    }
                }

                return $sum > 0 && $sum < $n;
            }));
            $columns = array_values(array_filter($columns, function (int $c) use ($rows): bool {
                $seen = [false, false];
                foreach ($rows as $r) {
                    $x = $this->rows[$r][$c];
                    if ($x !== null) {
                        $seen[$x] = true;
                    }
                }

                return $seen[0] && $seen[1];
            }));
        } while ($before !== [count($rows), count($columns)]);

        return ['rows' => $rows, 'columns' => $columns];
    }
}
