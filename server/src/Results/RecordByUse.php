<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\QuestionReport;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Lookout\ReadModel\CountedInRooms;
use ChalkLadder\Server\Lookout\Walls;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Results\Api\View\ClassUseView;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\LineView;
use ChalkLadder\Server\Results\Api\View\RecordByUseView;
use ChalkLadder\Server\Results\Api\View\UseView;
use ChalkLadder\Server\Results\ReadModel\UseOfQuestions;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * What became of a question each time it was handed out, whole and by class, by the counting of the results; a handout is counted
 * once for each state it was in.
 */
final readonly class RecordByUse
{
    private const MOST = 40;

    public function __construct(
        private UseOfQuestions $uses,
        private CountedInRooms $rooms,
        private Walls $walls,
        private Bank $bank,
        private Handouts $handouts,
        private Counting $counting,
        private Terms $terms,
        private CacheInterface $cache,
    ) {
    }

    public function show(string $teamId, string $questionId): RecordByUseView
    {
        $this->bank->show($teamId, $questionId);
        $names = $this->terms->misconceptionNames($teamId);
        $uses = [];
        foreach (array_slice(array_reverse($this->uses->of([$questionId])), 0, self::MOST) as $use) {
            $handout = $this->handouts->find($teamId, $use['handout']);
            [$report, $lines] = $this->counted($handout, $use['state'], '')[$use['entry']] ?? [null, []];
            if ($report === null || $report->facility->n === 0) {
                continue;
            }
            $classes = [];
            foreach ($this->handouts->classNames([$handout->id])[$handout->id] ?? [] as $class) {
                $ofClass = $this->counted($handout, $use['state'], $class)[$use['entry']][0] ?? null;
                if ($ofClass !== null) {
                    $classes[] = new ClassUseView($class, FigureView::of($ofClass->facility));
                }
            }
            $uses[] = new UseView(
                $handout->id,
                $handout->title,
                Moment::iso($use['made']),
                $handout->edition->number,
                count($classes) > 1 ? $classes : [],
                Results::question($report, $handout, $lines, $names),
            );
        }

        $rooms = [];
        foreach ($this->rooms->of($teamId, $questionId) as $room) {
            $handout = $this->handouts->find($teamId, $room['handout']);
            $rooms[] = $this->walls->said($teamId, $handout, $room['entry'], Moment::iso($room['made']));
        }

        return new RecordByUseView($uses, array_values(array_filter($rooms)));
    }

    /** @return array<string, array{QuestionReport, list<LineView>}> by entry */
    private function counted(HandedOut $handout, string $state, string $class): array
    {
        return $this->cache->get('reports-'.$handout->id.'-'.$state.'-'.md5($class), function () use ($handout, $class): array {
            $counted = $this->counting->count($handout, $class);
            $found = [];
            foreach ($counted->report->questions as $report) {
                $found[$report->id] = [$report, Results::lines($counted->columns->answered[$report->id] ?? [])];
            }

            return $found;
        });
    }
}
