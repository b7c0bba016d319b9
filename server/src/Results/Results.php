<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Confidence;
use ChalkLadder\Core\Analysis\Confusion;
use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\Manner;
use ChalkLadder\Core\Analysis\OptionReport;
use ChalkLadder\Core\Analysis\QuestionReport;
use ChalkLadder\Core\Analysis\Rungs;
use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Alternative;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Item\PlainText;
use ChalkLadder\Core\Item\Rule;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Results\Api\View\BinView;
use ChalkLadder\Server\Results\Api\View\ConfusionView;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\FlagView;
use ChalkLadder\Server\Results\Api\View\HolderView;
use ChalkLadder\Server\Results\Api\View\LineView;
use ChalkLadder\Server\Results\Api\View\MisconceptionView;
use ChalkLadder\Server\Results\Api\View\OptionView;
use ChalkLadder\Server\Results\Api\View\QuestionView;
use ChalkLadder\Server\Results\Api\View\ResultsView;
use ChalkLadder\Server\Results\Api\View\RungView;
use ChalkLadder\Server\Results\Api\View\StudentResultView;
use ChalkLadder\Server\Results\Api\View\SureView;

/** What a handout's results say, put into words and views. The figures come from the core. */
final readonly class Results
{
    private const MOST_LINES = 8;

    public function __construct(private Handouts $handouts, private Counting $counting, private Terms $terms, private Teams $teams)
    {
    }

    /** @param string $class name of the class to which they are limited, or '' */
    public function show(string $teamId, string $handoutId, string $class = ''): ResultsView
    {
        $handout = $this->handouts->find($teamId, $handoutId);
        $counted = $this->counting->count($handout, $class);
        $rungs = $this->teams->rungs($teamId);
        $terms = $this->terms->all($teamId);
        $report = $counted->report;
        $most = PaperProof::extent($handout->edition->paper())[1];
        $students = $this->students($counted, $rungs);
        $misconceptions = [];
        foreach ($terms->misconceptions as $term) {
            $view = $this->misconception($term->id, $term->name, $term->nextStep, $counted);
            if ($view->students !== []) {
                $misconceptions[] = $view;
            }
        }
        usort(
            $misconceptions,
            static fn (
                MisconceptionView $a,
                MisconceptionView $b,
            ): int => [$b->likely, count($b->students)] <=> [$a->likely, count($a->students)],
        );
        $names = $this->terms->misconceptionNames($teamId);

        return new ResultsView(
            $this->handouts->show($teamId, $handoutId),
            $handout->conditions->counts->sentence(),
            count(array_filter(
                $counted->columns->students,
                static fn (CountedStudent $s): bool => $s->others !== [] || $s->averaged !== [],
            )),
            $counted->columns->waiting(),
            NumberText::write($most),
            FigureView::of($report->mean),
            FigureView::of($report->median),
            FigureView::of($report->sd),
            FigureView::of($report->quartiles),
            FigureView::of($report->alpha),
            FigureView::of($report->sem),
            self::bins($report->totals, $most->toFloat()),
            array_map(
                static fn (array $band, int $i): RungView => new RungView(
                    $band['name'],
                    $band['from'],
                    count(array_filter($students, static fn (StudentResultView $s): bool => $s->rung === $i + 1)),
                ),
                $rungs->bands,
                array_keys($rungs->bands),
            ),
            array_map(static fn (QuestionReport $q): QuestionView => self::question(
                $q,
                $handout,
                self::lines($counted->columns->answered[$q->id] ?? []),
                $names,
            ), $report->questions),
            array_map(
                static fn (Confusion $c): ConfusionView => self::confusion($c, $handout, $names),
                Confusion::among($report->questions),
            ),
            $misconceptions,
            $students,
        );
    }

    /** @return list<StudentResultView> */
    private function students(Counted $counted, Rungs $rungs): array
    {
        $manners = Manner::of($counted->columns->questions, count($counted->columns->students));

        return array_map(static fn (CountedStudent $s, Manner $m): StudentResultView => new StudentResultView(
            $s->studentId,
            $s->sittingId,
            $s->name,
            $s->marks,
            $s->of,
            $s->waiting,
            $s->share === null ? 0 : $rungs->reached($s->share),
            $s->attempt,
            $s->others,
            $s->averaged,
            $s->state,
            FigureView::of($m->pace),
            FigureView::of($m->rushed),
            FigureView::of($m->sureAndWrong),
            $m->word,
            $s->fewerOptions,
            $s->corrected,
        ), $counted->columns->students, $manners);
    }

    /**
     * @param list<LineView>        $lines the most frequent written answers
     * @param array<string, string> $names of misconceptions
     */
    public static function question(QuestionReport $report, HandedOut $handout, array $lines, array $names): QuestionView
    {
        $item = $handout->edition->item($report->id) ?? throw new \LogicException('A question of the report is in the edition.');

        return new QuestionView(
            $report->id,
            $handout->edition->numbers()[$report->id] ?? 0,
            $handout->edition->title($report->id),
            $item->type()->value,
            $item->prompt,
            NumberText::write($item->points),
            FigureView::of($report->facility),
            FigureView::of($report->itemRest),
            FigureView::of($report->upperLower),
            FigureView::of($report->alphaIfDropped),
            $report->omitted,
            $report->notReached,
            $report->waiting,
            array_map(static fn (OptionReport $o): OptionView => self::option($item, $o, $names), $report->options),
            $report->options === [] ? $lines : [],
            array_map(static fn (Flag $f): FlagView => new FlagView($f->kind, self::evidence($item, $f), $f->option), $report->flags),
            FigureView::of($report->medianTime),
            self::sure($report->confidence),
            $report->confidence === null ? null : FigureView::of($report->confidence->sureAndWrong),
        );
    }

    /** @return list<SureView> */
    private static function sure(?Confidence $confidence): array
    {
        $levels = $confidence === null ? [] : $confidence->byLevel;

        return array_map(static fn (int $level): SureView => new SureView($level, FigureView::of($levels[$level])), array_keys($levels));
    }

    /** @param array<string, string> $names */
    private static function option(Item $item, OptionReport $o, array $names): OptionView
    {
        $alternative = self::alternative($item->rule, $o->id);

        return new OptionView(
            $o->id,
            $alternative->letter,
            PlainText::of($alternative->text),
            $o->key,
            $o->count,
            $o->share,
            $o->byThird[0],
            $o->byThird[1],
            $o->byThird[2],
            $o->rest,
            $o->works,
            $names[$alternative->misconception ?? ''] ?? null,
        );
    }

    private static function alternative(Rule $rule, string $id): Alternative
    {
        foreach ($rule->alternatives() as $alternative) {
            if ($alternative->id === $id) {
                return $alternative;
            }
        }

        throw new \LogicException('What was picked can be picked.');
    }

    /** @param array<string, string> $names of misconceptions */
    private static function confusion(Confusion $c, HandedOut $handout, array $names): ConfusionView
    {
        $rule = $handout->edition->item($c->question)->rule ?? throw new \LogicException('A question of the report is in the edition.');
        $key = $c->part === null ? self::alternative($rule, $c->key) : new Alternative('', '', htmlspecialchars($c->part->key), true, null);
        $rival = $c->part === null
            ? self::alternative($rule, $c->rival)
            : new Alternative('', '', htmlspecialchars($c->part->rival), false, null);

        return new ConfusionView(
            $c->question,
            $handout->edition->numbers()[$c->question] ?? 0,
            $handout->edition->title($c->question),
            $c->part->name ?? '',
            $key->letter,
            PlainText::of($key->text),
            $rival->letter,
            PlainText::of($rival->text),
            $c->keyCount,
            $c->rivalCount,
            $c->upperKey,
            $c->upperRival,
            $c->n,
            $c->rivalry,
            $c->p,
            $c->few,
            $names[$rival->misconception ?? ''] ?? null,
        );
    }

    /** The core does not know letters; here "this option" gets its own. */
    private static function evidence(Item $item, Flag $flag): string
    {
        return $flag->option !== null ? str_replace(
            'this option',
            'option '.self::alternative($item->rule, $flag->option)->letter,
            $flag->evidence,
        ) : $flag->evidence;
    }

    /**
     * @param list<CountedAnswer> $answered
     *
     * @return list<LineView>
     */
    public static function lines(array $answered): array
    {
        $counts = [];
        foreach ($answered as $answer) {
            // What a person marks is no line of a key.
            if ($answer->verdict !== Verdict::ByHand->value) {
                $key = $answer->verdict."\0".$answer->readAs;
                $counts[$key] = ($counts[$key] ?? 0) + 1;
            }
        }
        arsort($counts);
        $lines = [];
        foreach (array_slice($counts, 0, self::MOST_LINES, true) as $key => $count) {
            [$verdict, $answer] = explode("\0", (string) $key, 2);
            $lines[] = new LineView($answer, $count, $verdict);
        }

        return $lines;
    }

    private function misconception(string $id, string $name, string $nextStep, Counted $counted): MisconceptionView
    {
        $holders = [];
        $likely = 0;
        foreach ($counted->columns->evidence as $s => $byId) {
            $evidence = $byId[$id] ?? null;
            if ($evidence !== null && $evidence->shown > 0) {
                $likely += $evidence->likely ? 1 : 0;
                $holders[] = new HolderView(
                    $counted->columns->students[$s]->studentId,
                    $counted->columns->students[$s]->name,
                    $evidence->shown,
                    $evidence->offered,
                    FigureView::of($evidence->rate),
                    $evidence->likely,
                );
            }
        }
        usort(
            $holders,
            static fn (HolderView $a, HolderView $b): int => [$b->rate->value, $b->shown, $a->name] <=> [$a->rate->value, $a->shown,
                $b->name],
        );

        return new MisconceptionView($id, $name, $nextStep, $likely, $holders);
    }

    /**
     * @param list<float> $totals
     *
     * @return list<BinView>
     */
    private static function bins(array $totals, float $most): array
    {
        $width = $most <= 12.0 ? 1.0 : ($most <= 30.0 ? 2.0 : 5.0);
        $bins = [];
        for ($from = 0.0; $from < $most || $bins === []; $from += $width) {
            $to = min($from + $width, max($most, $width));
            $last = $to >= $most;
            $bins[] = new BinView(
                $from,
                $to,
                count(array_filter($totals, static fn (float $t): bool => $t >= $from && ($t < $to || $last))),
            );
        }

        return $bins;
    }
}
