<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Figure;
use ChalkLadder\Core\Analysis\Severity;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Criterion;
use ChalkLadder\Core\Item\Level;
use ChalkLadder\Core\Item\Rubric;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Results\Api\View\AgreementView;
use ChalkLadder\Server\Results\Api\View\CriterionAgreementView;
use ChalkLadder\Server\Results\Api\View\DisagreementView;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\MarkerLevelsView;
use ChalkLadder\Server\Results\Api\View\ModerationView;
use ChalkLadder\Server\Results\Api\View\RubricLineView;
use ChalkLadder\Server\Results\Api\View\SeverityView;
use ChalkLadder\Server\Results\ReadModel\ModerationReader;

/** How far markers agree on the answers that two or more of them marked, each without seeing the others' marks. */
final readonly class Moderation
{
    private const SEED = 'agreement';

    public function __construct(private ModerationReader $reader, private Handouts $handouts)
    {
    }

    public function show(string $teamId, string $handoutId): ModerationView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $units = $this->reader->of($handoutId);
        $questions = [];
        foreach ($handout->edition->numbers() as $entry => $number) {
            $rule = $handout->edition->item((string) $entry)?->rule;
            if ($rule instanceof Rubric) {
                $questions[] = $this->question($handout, (string) $entry, $number, $rule, $units[$entry] ?? []);
            }
        }

        return new ModerationView($questions);
    }

    /** @param list<TwiceMarked> $units */
    private function question(HandedOut $handout, string $entry, int $number, Rubric $rule, array $units): AgreementView
    {
        $item = $handout->edition->item($entry) ?? throw new \LogicException('A question of the edition is in it.');
        $markers = array_values(array_unique(array_merge(
            [],
            ...array_map(static fn (TwiceMarked $u): array => array_keys($u->levels), $units),
        )));
        $criteria = $apart = [];
        foreach ($rule->criteria() as $i => $criterion) {
            $criteria[] = self::criterion($criterion, $i, $markers, $units);
        }
        foreach ($units as $u) {
            if ($u->isDisputed()) {
                $marks = array_map(
                    static fn (string $marker, array $levels): MarkerLevelsView => new MarkerLevelsView($marker, $levels),
                    array_keys($u->levels),
                    array_values($u->levels),
                );
                $apart[] = new DisagreementView(
                    $u->sittingId,
                    $u->try,
                    $u->student,
                    $item->rule->inWords($u->response),
                    $marks,
                    $u->settled,
                    $u->comment,
                    $u->markVersion,
                );
            }
        }

        return new AgreementView(
            $entry,
            $number,
            $handout->edition->title($entry),
            array_map(
                static fn (Criterion $c): RubricLineView => new RubricLineView(
                    $c->name,
                    array_map(static fn (Level $l): string => NumberText::write($l->points), $c->levels),
                ),
                $rule->criteria(),
            ),
            count($units),
            $markers,
            $criteria,
            $apart,
        );
    }

    /**
     * @param list<string>      $markers
     * @param list<TwiceMarked> $units
     */
    private static function criterion(Criterion $criterion, int $place, array $markers, array $units): CriterionAgreementView
    {
        $points = array_map(static fn (Level $l): float => $l->points->toFloat(), $criterion->levels);
        // Levels are held apart by their points where these rise, else by their order alone.
        $rising = $points;
        sort($rising);
        $scale = $rising === $points && count(array_unique($points)) === count($points)
            ? $points
            : array_map(floatval(...), array_keys($points));
        $marks = $named = [];
        foreach ($units as $u) {
            $unit = $own = [];
            foreach ($u->levels as $marker => $levels) {
                $level = $levels[$place] ?? null;
                if ($level !== null && isset($scale[$level])) {
                    $unit[(int) array_search($marker, $markers, true)] = $scale[$level];
                    $own[$marker] = $points[$level];
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
}
