<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Cell;
use ChalkLadder\Core\Analysis\KnowledgeTracing;
use ChalkLadder\Core\Analysis\SkillShare;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Platform\Storage\Database;

/** Skills by student. */
final readonly class SkillTable
{
    public function __construct(private Database $database, private Handouts $handouts, private Counting $counting, private Terms $terms)
    {
    }

    public function show(string $teamId, string $handoutId): SkillsView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->count($handout);
        $names = $this->terms->skillNames($teamId);
        $credits = $of = [];
        $own = array_fill(0, count($counted->students), []);
        foreach ($counted->questions as $question) {
            $skill = $handout->edition->item($question->id)->skill ?? '';
            if (!isset($names[$skill])) {
                continue;
            }
            $of[$skill] = ($of[$skill] ?? 0) + 1;
            foreach ($question->cells as $s => $cell) {
                if ($question->credits[$s] !== null && ($cell === Cell::Answered || $cell === Cell::Omitted)) {
                    $credits[$skill][$s][] = $question->credits[$s];
                    $own[$s][] = $question->credits[$s];
                }
            }
        }
        $skills = [];
        foreach ($of as $skill => $questions) {
            $all = array_merge([], ...array_values($credits[$skill] ?? []));
            $skills[] = new SkillView($skill, $names[$skill], $questions, FigureView::of(SkillShare::of($all, 0.5)->share));
        }
        $tracing = new KnowledgeTracing();
        $answers = $this->answers($handoutId, array_keys($of));
        $rows = [];
        foreach ($counted->students as $s => $student) {
            $mean = $own[$s] === [] ? 0.0 : array_sum($own[$s]) / count($own[$s]);
            $shares = array_map(static fn (SkillView $v): SkillShare => SkillShare::of($credits[$v->id][$s] ?? [], $mean), $skills);
            $rows[] = new SkillRowView($student['studentId'], $student['name'], array_map(static fn (SkillShare $x): FigureView => FigureView::of($x->share), $shares), array_map(static fn (SkillShare $x): int => $x->standing, $shares), array_map(static fn (SkillView $v): int => SkillShare::of($credits[$v->id][$s] ?? [], $v->share->value ?? 0.0)->standing, $skills), array_map(static fn (SkillView $v): FigureView => FigureView::of($tracing->figure($answers[$student['studentId']][$v->id] ?? [])), $skills));
        }

        return new SkillsView($skills, $rows);
    }

    /**
     * Every marked first try of the handout's students on these skills, whichever paper it was in, in the order of time.
     *
     * @param list<string> $skills
     *
     * @return array<string, array<string, list<bool>>> right or not, by student and skill
     */
    private function answers(string $handoutId, array $skills): array
    {
        $answers = [];
        foreach ($skills === [] ? [] : $this->database->rows("SELECT s.student_id, i.skill_id, coalesce(r.hand_credit, r.credit) = '1' AS is_right
            FROM handout_student hs JOIN sitting s ON s.student_id = hs.student_id AND s.state <> 'open' JOIN handout h ON h.id = s.handout_id
            JOIN response r ON r.sitting_id = s.id AND r.try = 1 AND coalesce(r.hand_credit, r.credit) IS NOT NULL AND (r.verdict <> 'none' OR r.hand_credit IS NOT NULL)
            JOIN edition_item ei ON ei.edition_id = h.edition_id AND ei.entry = r.entry JOIN item i ON i.id = ei.item_id
            WHERE hs.handout_id = :id AND i.skill_id::text IN (:skills) ORDER BY r.saved_at, r.sitting_id, r.entry", ['id' => $handoutId, 'skills' => $skills]) as $row) {
            $answers[$row->text('student_id')][$row->text('skill_id')][] = $row->bool('is_right');
        }

        return $answers;
    }
}
