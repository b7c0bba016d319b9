<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Severity;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Level;
use ChalkLadder\Core\Item\OpenRule;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Server\Handout\Handout;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Lookout\Lookout;
use ChalkLadder\Server\Platform\Storage\Database;
use ChalkLadder\Server\Platform\Storage\Json;
use ChalkLadder\Server\Platform\Storage\Row;

/** How far markers agree on the answers that two or more of them marked, each without seeing the others' marks. */
final readonly class Moderation
{
    private const SEED = 'agreement';

    public function __construct(private Database $database, private Handouts $handouts)
    {
    }

    public function show(string $teamId, string $handoutId): ModerationView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $units = [];
        foreach ($this->database->rows("SELECT m.sitting_id, m.entry, m.try, m.levels, f.name AS marker, r.value, r.hand_levels, r.comment, r.mark_version, st.name
            FROM moderation_mark m JOIN response r ON r.sitting_id = m.sitting_id AND r.entry = m.entry AND r.try = m.try JOIN sitting s ON s.id = m.sitting_id JOIN student st ON st.id = s.student_id JOIN staff f ON f.id = m.staff_id
            WHERE s.handout_id = :id AND s.state <> 'open' ORDER BY st.name_folded, m.sitting_id, m.try, f.name", ['id' => $handoutId]) as $row) {
            $units[$row->text('entry')][$row->text('sitting_id').'|'.$row->int('try')][] = $row;
        }
        $questions = [];
        foreach ($handout->edition->numbers() as $entry => $number) {
            $rule = $handout->edition->item((string) $entry)?->rule;
            if ($rule instanceof OpenRule) {
                $questions[] = $this->question($handout, (string) $entry, $number, $rule, array_values($units[$entry] ?? []));
            }
        }

        return new ModerationView($questions);
    }

    /** @param list<non-empty-list<Row>> $units the marks of each answer */
    private function question(Handout $handout, string $entry, int $number, OpenRule $rule, array $units): AgreementView
    {
        $item = $handout->edition->item($entry) ?? throw new \LogicException('A question of the edition is in it.');
        $markers = array_values(array_unique(array_merge([], ...array_map(static fn (array $rows): array => array_map(static fn (Row $r): string => $r->text('marker'), $rows), $units))));
        $criteria = $apart = [];
        foreach ($rule->criteria as $i => $criterion) {
            $criteria[] = self::criterion($criterion, $i, $markers, $units);
        }
        foreach ($units as $rows) {
            $marks = array_map(static fn (Row $r): MarkerLevelsView => new MarkerLevelsView($r->text('marker'), self::levels($r->text('levels'))), $rows);
            if (count(array_unique(array_map(static fn (MarkerLevelsView $m): string => Json::encode($m->levels), $marks))) > 1) {
                $r = $rows[0];
                $now = $r->textOrNull('hand_levels');
                $apart[] = new DisagreementView($r->text('sitting_id'), $r->int('try'), $r->text('name'), Lookout::given($item, Response::fromArray($r->json('value'))), $marks, $now === null ? null : self::levels($now), $r->text('comment'), $r->int('mark_version'));
            }
        }

        return new AgreementView($entry, $number, $handout->edition->title($entry), array_map(static fn (Criterion $c): RubricLineView => new RubricLineView($c->name, array_map(static fn (Level $l): string => NumberText::write($l->points), $c->levels)), $rule->criteria), count($units), $markers, $criteria, $apart);
    }

    /**
     * @param list<string>              $markers
     * @param list<non-empty-list<Row>> $units
     */
    private static function criterion(Criterion $criterion, int $place, array $markers, array $units): CriterionAgreementView
    {
        $points = array_map(static fn (Level $l): float => $l->points->toFloat(), $criterion->levels);
        // Levels are held apart by their points where these rise, else by their order alone.
        $rising = $points;
        sort($rising);
        $scale = $rising === $points && count(array_unique($points)) === count($points) ? $points : array_map(floatval(...), array_keys($points));
        $marks = $named = [];
        foreach ($units as $rows) {
            $unit = $own = [];
            foreach ($rows as $row) {
                $level = self::levels($row->text('levels'))[$place] ?? null;
                if ($level !== null && isset($scale[$level])) {
                    $unit[(int) array_search($row->text('marker'), $markers, true)] = $scale[$level];
                    $own[$row->text('marker')] = $points[$level];
                }
            }
            $marks[] = $unit;
            $named[] = $own;
        }
        $agreement = new Agreement($scale, count($markers), $marks);
        $severity = [];
        foreach (Severity::of($named) as $marker => $figure) {
            $severity[] = new SeverityView((string) $marker, FigureView::of($figure));
        }

        return new CriterionAgreementView(
            $criterion->name,
            FigureView::of($agreement->share(0)),
            FigureView::of($agreement->share(1)),
            FigureView::of($agreement->bootstrapped(static fn (Agreement $a): Figure => $a->kappa('quadratic'), self::SEED)),
            FigureView::of($agreement->bootstrapped(static fn (Agreement $a): Figure => $a->alpha('ordinal'), self::SEED)),
            FigureView::of($agreement->icc()),
            $severity,
        );
    }

    /** @return list<int|null> */
    private static function levels(string $json): array
    {
        return array_values(array_map(static fn (mixed $l): ?int => is_int($l) ? $l : null, Json::decode($json)));
    }
}
