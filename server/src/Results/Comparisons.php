<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\Difference;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\MantelHaenszel;
use ChalkLadder\Core\Analysis\Question;
use ChalkLadder\Core\Analysis\Sample;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Handout\ReadModel\ClassOfStudents;
use ChalkLadder\Server\Results\Api\View\ClassResultView;
use ChalkLadder\Server\Results\Api\View\ComparisonsView;
use ChalkLadder\Server\Results\Api\View\DifferingView;
use ChalkLadder\Server\Results\Api\View\FigureView;

/** Classes of one handout against each other: whole marks, and single questions at equal scores. */
final readonly class Comparisons
{
    private const SHARE = 'Mean share of the marks; 95 % interval by Student’s t.';

    public function __construct(private ClassOfStudents $classes, private Handouts $handouts, private Counting $counting)
    {
    }

    public function show(string $teamId, string $handoutId): ComparisonsView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->columns($handout);
        $class = $this->classes->of($handoutId);
        $shares = $of = [];
        foreach ($counted->students as $s => $student) {
            $name = $class[$student->studentId] ?? null;
            if ($name !== null && $student->share !== null) {
                $of[$s] = $name;
                $shares[$name][] = $student->share;
            }
        }
        ksort($shares);
        $views = [];
        foreach ($shares as $name => $own) {
            $others = array_merge([], ...array_values(array_diff_key($shares, [$name => true])));
            $mean = Sample::mean($own);
            $interval = $mean === null ? null : Intervals::mean($mean, Sample::sd($own), count($own));
            $views[] = new ClassResultView(
                (string) $name,
                FigureView::of(new Figure(
                    $mean,
                    count($own),
                    self::SHARE,
                    $interval[0] ?? null,
                    $interval[1] ?? null,
                    Figure::few(count($own)),
                )),
                FigureView::of(Difference::between($own, $others)),
                FigureView::of(Difference::effect($own, $others)),
                $others === [] ? [] : $this->differing($handout, $counted, $of, (string) $name),
            );
        }

        return new ComparisonsView($views);
    }

    /**
     * @param array<int, string> $of class by student
     *
     * @return list<DifferingView>
     */
    private function differing(HandedOut $handout, Columns $counted, array $of, string $name): array
    {
        $whole = array_values(array_filter(
            $counted->questions,
            static fn (Question $q): bool => array_filter(
                $q->credits,
                static fn (?float $c): bool => $c !== null && $c !== 0.0 && $c !== 1.0,
            ) === [] && !in_array(Cell::Waiting, $q->cells, true),
        ));
        $found = [];
        foreach ($whole as $question) {
            $tables = [];
            foreach ($of as $s => $class) {
                $credit = $question->cells[$s] === Cell::NotReached || $question->cells[$s] === Cell::NotGiven
                    ? null
                    : $question->credits[$s];
                if ($credit === null) {
                    continue;
                }
                $score = (int) array_sum(array_map(static fn (Question $q): float => $q->credits[$s] ?? 0.0, $whole));
                $tables[$score] ??= [0, 0, 0, 0];
                ++$tables[$score][($class === $name ? 2 : 0) + ($credit === 1.0 ? 0 : 1)];
            }
            $result = MantelHaenszel::of(array_map(static fn (array $t): array => [$t[0], $t[1], $t[2], $t[3]], array_values($tables)));
            if ($result->class === 'B' || $result->class === 'C') {
                $found[] = new DifferingView(
                    $question->id,
                    $handout->edition->numbers()[$question->id] ?? 0,
                    $handout->edition->title($question->id),
                    FigureView::of($result->delta),
                    $result->class,
                );
            }
        }

        return $found;
    }
}
