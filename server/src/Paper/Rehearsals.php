<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Item\Item;
use ChalkLadder\Core\Paper\PaperProof;
use ChalkLadder\Core\Sitting\Rehearsal;
use ChalkLadder\Server\Bank\QuestionRecords;
use ChalkLadder\Server\Paper\Api\Input\RehearsalInput;
use ChalkLadder\Server\Paper\Api\View\AbilityView;
use ChalkLadder\Server\Paper\Api\View\CutView;
use ChalkLadder\Server\Paper\Api\View\ExitFlowView;
use ChalkLadder\Server\Paper\Api\View\LengthView;
use ChalkLadder\Server\Paper\Api\View\RehearsalView;
use ChalkLadder\Server\Paper\Api\View\RouteCheckView;
use ChalkLadder\Server\Paper\Api\View\ShareView;
use ChalkLadder\Server\Paper\Api\View\WayView;
use ChalkLadder\Server\Platform\Http\Problem;

/** Lets made-up students sit a draft. What is known of its questions makes them as hard, and as long, as they have been. */
final readonly class Rehearsals
{
    private const SLIP = 0.05;

    public function __construct(private Papers $papers, private QuestionRecords $records)
    {
    }

    public function of(string $teamId, string $id, RehearsalInput $input): RehearsalView
    {
        $draft = $this->papers->draft($teamId, $id);
        $paper = $draft->paper();
        $items = $draft->items();
        if ($items === [] || PaperProof::goesRound($paper)) {
            throw Problem::conflict(
                'This paper cannot be rehearsed yet.',
                $items === [] ? 'It has no question.' : 'Its routes go round without end.',
            );
        }
        $records = $this->records->of(array_values(array_unique(array_values($draft->itemIds))));
        $difficulty = $guesses = $seconds = [];
        foreach ($items as $entry => $item) {
            $record = $records[$draft->itemIds[$entry]] ?? null;
            $guesses[$entry] = $item->rule->guess();
            $seconds[$entry] = $record->seconds ?? $item->type()->definition()->seconds();
            if ($record?->facility !== null) {
                [$difficulty[$entry], $guesses[$entry]] = Rehearsal::calibrated($record->facility, self::SLIP, $guesses[$entry]);
            }
        }
        $found = Rehearsal::of(
            $paper,
            $difficulty,
            $draft->machineMarked(),
            $input->students,
            $input->seed,
            self::SLIP,
            ideas: self::ideas($items, $input->holders),
            guesses: $guesses,
            seconds: $seconds,
        );

        $title = static fn (string $id): string => $paper->section($id)->title ?? '';

        return new RehearsalView(
            $found->students,
            count($items),
            count($difficulty),
            count(array_filter(
                array_keys($items),
                static fn (string $e): bool => ($records[$draft->itemIds[$e]] ?? null)?->seconds !== null,
            )),
            array_map(static fn (array $w): WayView => new WayView(
                implode(' → ', array_map($title, $w['way'])),
                $w['way'],
                ShareView::of($w['students'], $found->students),
                $w['questions'][0],
                $w['questions'][1],
                NumberText::write($w['points']),
                $w['seconds'][0],
                $w['seconds'][1],
            ), $found->ways),
            array_map(
                static fn (int $questions, int $n): LengthView => new LengthView($questions, $n),
                array_keys($found->lengths),
                $found->lengths,
            ),
            array_map(static fn (array $fifth): AbilityView => new AbilityView($fifth['students'], $fifth['share']), $found->byAbility),
            array_map(
                static fn (string $section, array $r): RouteCheckView => new RouteCheckView(
                    $section,
                    $title($section),
                    $r['students'],
                    ShareView::of($r['below'], $r['students']),
                    ShareView::of($r['above'], $r['students']),
                    array_map(static fn (array $e): ExitFlowView => new ExitFlowView(
                        $e['to'],
                        ShareView::of($e['students'], $r['students']),
                        $e['abilities'],
                        $e['wrong'],
                    ), $r['exits']),
                    $r['cut'],
                    array_map(static fn (array $c): CutView => new CutView($c['share'], ShareView::of($c['wrong'], $r['students'])), $r['cuts']),
                    $r['withTwoMore'] === null ? null : ShareView::of($r['withTwoMore'], $r['students']),
                ),
                array_map(strval(...), array_keys($found->routes)),
                array_values($found->routes),
            ),
            $found->seconds,
        );
    }

    /**
     * @param array<string, Item> $items by entry
     *
     * @return array<string, array{share: float, entries: list<string>}>
     */
    private static function ideas(array $items, float $holders): array
    {
        $ideas = [];
        foreach ($holders > 0.0 ? $items : [] as $entry => $item) {
            foreach ($item->misconceptions() as $idea) {
                $ideas[$idea] = ['share' => $holders, 'entries' => [...$ideas[$idea]['entries'] ?? [], $entry]];
            }
        }

        return $ideas;
    }
}
