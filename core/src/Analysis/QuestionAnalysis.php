<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** One question's figures, from its column and the students' scores on the rest. */
final class QuestionAnalysis
{
    private const FACILITY = 'Mean credit of those who reached the question; left blank counts as none.';
    private const REST = 'Pearson correlation of the credit here with the share of marks on all other questions; 95 % interval by Fisher’s z.';

    private const TOTAL = 'Pearson correlation of the credit here with the share of all marks, this question included; 95 % interval by Fisher’s z.';
    private const UPPER_LOWER = 'Mean credit of the highest 27 % less that of the lowest 27 % by share of all marks; ties are split fairly.';

    /**
     * @param list<float> $totals         marks of each student
     * @param list<float> $given          marks each student could have reached
     * @param Tails       $tails          of all students by their share of all marks
     * @param Figure      $alphaIfDropped reliability of the other questions
     */
    public static function of(Question $question, array $totals, array $given, Tails $tails, Figure $alphaIfDropped): QuestionReport
    {
        $credits = [];
        $rest = [];
        $whole = [];
        $counted = [];
        $omitted = $notReached = $waiting = 0;
        foreach ($question->cells as $s => $cell) {
            $omitted += $cell === Cell::Omitted ? 1 : 0;
            $notReached += $cell === Cell::NotReached ? 1 : 0;
            $waiting += $cell === Cell::Waiting ? 1 : 0;
            $credit = $question->counts($s);
            if ($credit === null) {
                continue;
            }
            $credits[] = $credit;
            $others = $given[$s] - $question->points;
            $rest[] = $others > 0.0 ? ($totals[$s] - $credit * $question->points) / $others : 0.0;
            $whole[] = $given[$s] > 0.0 ? $totals[$s] / $given[$s] : 0.0;
            $counted[] = $s;
        }
        $options = self::options($question->options, self::ofThese($question->picks, $counted), $rest);
        $seconds = array_values(array_filter($question->seconds, is_float(...)));
        $facility = self::facility($credits);
        $itemRest = self::correlation($credits, $rest, self::REST);

        return new QuestionReport(
            $question->id,
            $facility,
            $itemRest,
            self::correlation($credits, $whole, self::TOTAL),
            self::upperLower($credits, count($credits) === count($totals) ? $tails : Tails::by($whole)),
            $alphaIfDropped,
            $omitted,
            $notReached,
            $waiting,
            $options,
            $counted === [] ? [] : array_map(static fn (Part $p): PartReport => self::part($p, $counted, $rest), $question->parts),
            QuestionFlags::of($options, $facility, $itemRest, count($credits), $notReached, $waiting, $seconds),
            Speed::median($seconds),
            $question->sure === [] ? null : Confidence::of(self::confidence($question)),
        );
    }

    /**
     * @param list<list<string>> $picks
     * @param list<int>          $counted places of those who count
     *
     * @return list<list<string>>
     */
    private static function ofThese(array $picks, array $counted): array
    {
        return array_map(static fn (int $s): array => $picks[$s], $counted);
    }

    /**
     * @param non-empty-list<int> $counted
     * @param list<float>         $rest
     */
    private static function part(Part $part, array $counted, array $rest): PartReport
    {
        $reports = self::options([Part::KEY => true, Part::RIVAL => false], self::ofThese($part->picks, $counted), $rest);

        return new PartReport($part, $reports[0], $reports[1]);
    }

    /** @return list<array{int, float}> confidence and credit of each answer that has both */
    private static function confidence(Question $question): array
    {
        $answers = [];
        foreach ($question->sure as $s => $level) {
            $credit = $question->credits[$s] ?? null;
            if ($level !== null && $credit !== null && $question->cells[$s] === Cell::Answered) {
                $answers[] = [$level, $credit];
            }
        }

        return $answers;
    }

    /** @param list<float> $credits */
    private static function facility(array $credits): Figure
    {
        $n = count($credits);
        $mean = Sample::mean($credits);
        if ($mean === null) {
            return Figure::missing(0, self::FACILITY, 'Nobody’s answer counts yet.');
        }
        $whole = true;
        foreach ($credits as $credit) {
            if ($credit !== 0.0 && $credit !== 1.0) {
                $whole = false;
                break;
            }
        }
        $interval = Intervals::bounded($credits);

        return new Figure(
            $mean,
            $n,
            self::FACILITY.($whole ? ' 95 % interval by Wilson.' : ' 95 % interval by Wilson, on as many yes-or-no answers as would vary as much.'),
            $interval[0] ?? null,
            $interval[1] ?? null,
            Figure::few($n),
        );
    }

    /**
     * @param list<float> $credits
     * @param Tails       $tails   of the same students
     */
    private static function upperLower(array $credits, Tails $tails): Figure
    {
        $n = count($credits);
        $difference = $n < 4 ? null : $tails->difference($credits);

        return $difference === null ? Figure::missing($n, self::UPPER_LOWER, 'At least four students are needed.') : new Figure(
            $difference,
            $n,
            self::UPPER_LOWER,
            note: Figure::few($n),
        );
    }

    /**
     * @param list<float> $credits
     * @param list<float> $rest
     */
    private static function correlation(array $credits, array $rest, string $formula): Figure
    {
        $n = count($credits);
        $r = Sample::correlation($credits, $rest);
        if ($r === null) {
            return Figure::missing(
                $n,
                $formula,
                $n < 3 ? 'At least three students are needed.' : 'All have the same credit, so nothing can go with it.',
            );
        }
        $interval = Intervals::correlation($r, $n);

        return new Figure($r, $n, $formula, $interval[0] ?? null, $interval[1] ?? null, Figure::few($n));
    }

    /**
     * @param array<string, bool> $options
     * @param list<list<string>>  $picks
     * @param list<float>         $rest
     *
     * @return list<OptionReport>
     */
    private static function options(array $options, array $picks, array $rest): array
    {
        $n = count($picks);
        if ($n === 0) {
            return [];
        }
        [$third, $split] = RankParts::thirds($rest);
        [$upper] = RankParts::weights($rest, [[0.5, 1.0]]);
        $counts = $sums = $inUpper = [];
        $weighed = array_fill_keys(array_keys($options), [0.0, 0.0, 0.0]);
        foreach ($picks as $s => $picked) {
            foreach ($picked as $id) {
                $counts[$id] = ($counts[$id] ?? 0) + 1;
                $sums[$id] = ($sums[$id] ?? 0.0) + $rest[$s];
                $inUpper[$id] = ($inUpper[$id] ?? 0.0) + ($upper[$s] ?? 0.0);
                if ($third[$s] >= 0) {
                    $weighed[$id][$third[$s]] = ($weighed[$id][$third[$s]] ?? 0.0) + 1.0;
                } else {
                    foreach ($split[$s] as $part => $weight) {
                        $weighed[$id][$part] = ($weighed[$id][$part] ?? 0.0) + $weight;
                    }
                }
            }
        }
        $wrong = array_sum(array_intersect_key($counts, array_filter($options, static fn (bool $key): bool => !$key)));
        $distractors = count($options) - count(array_filter($options));
        $mean = array_sum($rest) / $n;
        $squares = Sample::squares($rest);
        $reports = [];
        foreach ($options as $id => $key) {
            $count = $counts[$id] ?? 0;
            $share = $count / $n;
            $correlation = Sample::pointBiserial($count, $sums[$id] ?? 0.0, $n, $mean, $squares);
            $reports[] = new OptionReport(
                (string) $id,
                $key,
                $count,
                $share,
                [min(1.0, 3 * $weighed[$id][0] / $n), min(1.0, 3 * $weighed[$id][1] / $n), min(1.0, 3 * $weighed[$id][2] / $n)],
                $correlation,
                $key || $n < Figure::FEW ? null : Distractor::works($count, $wrong, $distractors, $correlation, $n),
                (int) round($weighed[$id][2]),
                $inUpper[$id] ?? 0.0,
                $wrong,
            );
        }

        return $reports;
    }
}
