<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\KnownSkill;
use ChalkLadder\Core\Analysis\SkillShare;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\SkillRowView;
use ChalkLadder\Server\Results\Api\View\SkillsView;
use ChalkLadder\Server\Results\Api\View\SkillView;
use ChalkLadder\Server\Results\ReadModel\Earlier;

/** Skills by student. */
final readonly class SkillTable
{
    public function __construct(private Earlier $earlier, private Handouts $handouts, private Counting $counting, private Terms $terms)
    {
    }

    /** @param string $class name of the class to which it is limited, or '' */
    public function show(string $teamId, string $handoutId, string $class = ''): SkillsView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->columns($handout, $class);
        $names = $this->terms->skillNames($teamId);
        $same = $this->terms->sameAs($teamId);
        $credits = $of = [];
        $own = array_fill(0, count($counted->students), []);
        foreach ($counted->questions as $question) {
            $skill = $handout->edition->item($question->id)->skill ?? '';
            $skill = $same[$skill] ?? $skill;
            if (!isset($names[$skill])) {
                continue;
            }
            $of[$skill] = ($of[$skill] ?? 0) + 1;
            foreach (array_keys($question->cells) as $s) {
                $credit = $question->counts($s);
                if ($credit !== null) {
                    $credits[$skill][$s][] = $credit;
                    $own[$s][] = $credit;
                }
            }
        }
        $skills = [];
        foreach ($of as $skill => $questions) {
            $skills[] = new SkillView(
                $skill,
                $names[$skill],
                $questions,
                FigureView::of(SkillShare::ofClass(array_values($credits[$skill] ?? []))),
            );
        }
        $answers = $this->earlier->rightBySkill($handoutId, array_map(strval(...), array_keys($of)));
        $known = [];
        foreach ($skills as $skill) {
            $known[$skill->id] = KnownSkill::of(array_values(array_filter(
                array_map(static fn (array $bySkill): array => $bySkill[$skill->id] ?? [], $answers),
                static fn (array $own): bool => $own !== [],
            )));
        }
        $rows = [];
        foreach ($counted->students as $s => $student) {
            $mean = $own[$s] === [] ? 0.0 : array_sum($own[$s]) / count($own[$s]);
            $shares = array_map(static fn (SkillView $v): SkillShare => SkillShare::of($credits[$v->id][$s] ?? [], $mean), $skills);
            $rows[] = new SkillRowView(
                $student->studentId,
                $student->name,
                array_map(static fn (SkillShare $x): FigureView => FigureView::of($x->share), $shares),
                array_map(static fn (SkillShare $x): int => $x->standing, $shares),
                array_map(
                    static fn (SkillView $v): int => SkillShare::of($credits[$v->id][$s] ?? [], $v->share->value ?? 0.0)->standing,
                    $skills,
                ),
                array_map(
                    static fn (SkillView $v): FigureView => FigureView::of(
                        $known[$v->id]->figure($answers[$student->studentId][$v->id] ?? []),
                    ),
                    $skills,
                ),
            );
        }

        return new SkillsView($skills, $rows);
    }
}
