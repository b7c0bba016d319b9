<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Difference;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Results\Api\View\ChangeLineView;
use ChalkLadder\Server\Results\Api\View\ChangeView;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\StudentMoveView;
use ChalkLadder\Server\Results\ReadModel\Earlier;

/** Before and after: the same students in an earlier handout and in this one. */
final readonly class Changes
{
    private const LEAST_STUDENTS = 2;

    public function __construct(private Earlier $earlier, private Handouts $handouts, private Counting $counting, private Terms $terms)
    {
    }

    /** @param string|null $since an earlier handout; the latest when left out */
    public function show(string $teamId, string $handoutId, ?string $since): ChangeView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $earlier = $this->earlier->handouts($handoutId, self::LEAST_STUDENTS);
        $since ??= $earlier[0]->id ?? null;
        if ($since === null) {
            return new ChangeView([], null, false, [], []);
        }
        if (!in_array($since, array_column($earlier, 'id'), true)) {
            throw Problem::notFound('The earlier handout');
        }
        $before = $this->handouts->find($teamId, $since);
        $was = $this->shares($before);
        $is = $this->shares($handout);
        $names = $this->terms->skillNames($teamId);
        $lines = $students = [];
        foreach ($is as $skill => $now) {
            if ($skill !== '' && !isset($names[$skill], $was[$skill])) {
                continue;
            }
            $both = array_intersect_key($now, $was[$skill] ?? []);
            $old = array_map(static fn (string $id): float => $was[$skill][$id]['share'], array_keys($both));
            $new = array_column($both, 'share');
            if (count($both) >= self::LEAST_STUDENTS) {
                $lines[] = new ChangeLineView(
                    $names[$skill] ?? null,
                    array_sum($old) / count($old),
                    array_sum($new) / count($new),
                    FigureView::of(Difference::paired($old, $new)),
                );
            }
            if ($skill === '') {
                $students = array_map(
                    static fn (string $id, array $s, float $o): StudentMoveView => new StudentMoveView($id, $s['name'], $o, $s['share']),
                    array_keys($both),
                    $both,
                    $old,
                );
            }
        }
        usort(
            $students,
            static fn (StudentMoveView $a, StudentMoveView $b): int => [$b->after - $b->before, $a->name] <=> [$a->after - $a->before,
                $b->name],
        );

        return new ChangeView($earlier, $since, self::questions($before) === self::questions($handout), $lines, $students);
    }

    /** @return list<string> ids of its questions in the bank, in an order of their own */
    private static function questions(HandedOut $handout): array
    {
        $ids = array_values(array_unique(array_values($handout->edition->itemIds)));
        sort($ids);

        return $ids;
    }

    /** @return array<string, array<string, array{name: string, share: float}>> share of the marks by skill and student; '' is the whole */
    private function shares(HandedOut $handout): array
    {
        $counted = $this->counting->columns($handout);
        $reached = $possible = [];
        foreach ($counted->questions as $question) {
            $skill = $handout->edition->item($question->id)->skill ?? '';
            foreach ($skill === '' ? [] : array_keys($question->cells) as $s) {
                $credit = $question->counts($s);
                if ($credit !== null) {
                    $reached[$skill][$s] = ($reached[$skill][$s] ?? 0.0) + $credit * $question->points;
                    $possible[$skill][$s] = ($possible[$skill][$s] ?? 0.0) + $question->points;
                }
            }
        }
        $shares = ['' => []];
        foreach ($counted->students as $s => $student) {
            if ($student->share !== null) {
                $shares[''][$student->studentId] = ['name' => $student->name, 'share' => $student->share];
            }
        }
        foreach ($possible as $skill => $bySeat) {
            foreach ($bySeat as $s => $points) {
                if ($points > 0.0) {
                    $shares[$skill][$counted->students[$s]->studentId] = [
                        'name' => $counted->students[$s]->name,
                        'share' => $reached[$skill][$s] / $points,
                    ];
                }
            }
        }

        return $shares;
    }
}
