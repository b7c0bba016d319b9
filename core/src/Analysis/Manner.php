<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** How one student worked: fast or slow beside the others, thinking or rushing, rightly or wrongly sure. */
final readonly class Manner
{
    /**
     * @param Figure      $pace         time beside the median of each question; 1: like the others
     * @param Figure      $rushed       share of answers given too fast to have been thought about
     * @param Figure      $sureAndWrong share of the sure answers that are wrong
     * @param string|null $word         "rushing" or "lagging"; null for neither
     */
    private function __construct(public Figure $pace, public Figure $rushed, public Figure $sureAndWrong, public ?string $word)
    {
    }

    /**
     * @param list<Question> $questions columns of equal length
     * @param int            $students  how many rows each column has
     *
     * @return list<self> one for each student
     */
    public static function of(array $questions, int $students): array
    {
        $medians = $thresholds = [];
        $seconds = array_fill(0, $students, []);
        $sure = array_fill(0, $students, []);
        foreach ($questions as $question) {
            $known = array_values(array_filter($question->seconds, is_float(...)));
            $medians[$question->id] = Sample::quantile($known, 0.5) ?? 0.0;
            $thresholds[$question->id] = Speed::threshold($known);
            foreach ($question->seconds as $s => $time) {
                if ($time !== null) {
                    $seconds[$s][$question->id] = $time;
                }
            }
            foreach ($question->sure as $s => $level) {
                $credit = $question->credits[$s];
                if ($level !== null && $credit !== null && $question->cells[$s] === Cell::Answered) {
                    $sure[$s][] = [$level, $credit];
                }
            }
        }

        return array_values(array_map(static function (array $times, array $answers) use ($medians, $thresholds): self {
            $pace = Speed::pace($times, $medians);
            $rushed = Speed::rushed($times, $thresholds);

            return new self(
                $pace,
                $rushed,
                Confidence::of($answers)->sureAndWrong,
                Speed::isRushing($rushed) ? 'rushing' : (Speed::isLagging($pace) ? 'lagging' : null),
            );
        }, $seconds, $sure));
    }
}
