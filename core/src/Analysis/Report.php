<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** What the results of one handout say: of the whole, and of each question. */
final readonly class Report
{
    /**
     * @param list<float>          $totals    marks of each student over the questions that count
     * @param list<float>          $shares    the same as a share of what each was given, 0…1
     * @param list<QuestionReport> $questions
     */
    private function __construct(
        public Figure $mean,
        public Figure $median,
        public Figure $sd,
        public Figure $quartiles,
        public Figure $alpha,
        public Figure $sem,
        public array $totals,
        public array $shares,
        public array $questions,
    ) {
    }

    /**
     * @param list<Question>   $questions columns of equal length
     * @param int              $students  how many rows each column has
     * @param list<float>|null $marks     each student's marks as they were rounded and told; left out: the sum of the columns
     */
    public static function of(array $questions, int $students, ?array $marks = null): self
    {
        $totals = array_fill(0, $students, 0.0);
        $given = array_fill(0, $students, 0.0);
        foreach ($questions as $question) {
            foreach ($question->credits as $s => $credit) {
                $totals[$s] += ($credit ?? 0.0) * $question->points;
                // What was not reached was still given, so it weighs on the share; what waits or was never given does not.
                $given[$s] += $question->cells[$s] === Cell::NotGiven || $question->cells[$s] === Cell::Waiting ? 0.0 : $question->points;
            }
        }
        $totals = $marks ?? array_values($totals);
        $shares = array_map(static fn (float $t, float $g): float => $g > 0.0 ? $t / $g : 0.0, $totals, $given);
        // A question that still waits for a marker says nothing yet; the others do.
        $marked = array_filter($questions, static fn (Question $q): bool => !in_array(Cell::Waiting, $q->cells, true));
        $reliability = Reliability::of(self::complete(array_values($marked), $students));
        $dropped = array_combine(array_keys($marked), $reliability->ifDropped);
        $tails = Tails::by(array_values($shares));
        $reports = array_map(
            static fn (Question $q, int $i): QuestionReport => QuestionAnalysis::of(
                $q,
                $totals,
                array_values($given),
                $tails,
                $dropped[$i] ?? Figure::missing($students, 'Cronbach’s α of the other questions.', 'Its answers still wait for a marker.'),
            ),
            $questions,
            array_keys($questions),
        );
        $mean = Sample::mean($totals);
        $sd = Sample::sd($totals);
        $interval = $mean === null ? null : Intervals::mean($mean, $sd, $students);
        $middle = Intervals::median($totals);

        return new self(
            new Figure(
                $mean,
                $students,
                'Sum of the counting marks divided by the number of students; 95 % interval by Student’s t.',
                $interval[0] ?? null,
                $interval[1] ?? null,
            ),
            new Figure(
                Sample::quantile($totals, 0.5),
                $students,
                'The middle mark when all are put in order; between two middle ones, their mean. 95 % interval from the order of the marks (sign test).',
                $middle[0] ?? null,
                $middle[1] ?? null,
            ),
            $sd === null ? Figure::missing($students, 'Standard deviation with n − 1.', 'At least two students are needed.') : new Figure(
                $sd,
                $students,
                'Standard deviation with n − 1: the root of the mean squared distance from the mean.',
            ),
            new Figure(
                null,
                $students,
                'A quarter of the students lie below the first figure, a quarter above the second (linear interpolation).',
                Sample::quantile($totals, 0.25),
                Sample::quantile($totals, 0.75),
            ),
            $reliability->alpha,
            $reliability->sem,
            $totals,
            $shares,
            $reports,
        );
    }

    /**
     * Marks by question, for the students to whom every question was given and is marked. What was left blank or not
     * reached is none.
     *
     * @param list<Question> $questions
     *
     * @return list<list<float>>
     */
    private static function complete(array $questions, int $students): array
    {
        $whole = array_fill(0, $students, true);
        foreach ($questions as $question) {
            foreach ($question->cells as $s => $cell) {
                if ($cell === Cell::NotGiven || $cell === Cell::Waiting) {
                    $whole[$s] = false;
                }
            }
        }
        $places = array_keys(array_filter($whole));

        return array_map(
            static fn (Question $q): array => array_map(static fn (int $s): float => ($q->credits[$s] ?? 0.0) * $q->points, $places),
            $questions,
        );
    }
}
