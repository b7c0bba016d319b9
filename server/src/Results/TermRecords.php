<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Core\Analysis\Prevalence;
use ChalkLadder\Core\Analysis\SkillRecord;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Results\Api\View\FigureView;
use ChalkLadder\Server\Results\Api\View\TermRecordsView;
use ChalkLadder\Server\Results\Api\View\TermRecordView;
use ChalkLadder\Server\Results\ReadModel\UseOfQuestions;
use Symfony\Contracts\Cache\CacheInterface;

/**
 * What the team's students have shown of each skill and wrong idea over all handouts, by the counting of the results; a handout is counted
 * once for each state it was in. A skill counts with those below it.
 */
final readonly class TermRecords
{
    public function __construct(
        private UseOfQuestions $uses,
        private Handouts $handouts,
        private Counting $counting,
        private Terms $terms,
        private CacheInterface $cache,
    ) {
    }

    public function show(string $teamId): TermRecordsView
    {
        $skillOf = $this->uses->skills($teamId);
        $terms = $this->terms->all($teamId);
        $above = array_column($terms->skills, 'parent', 'id');
        $met = $shown = $credits = $seen = [];
        $named = md5(serialize($this->terms->sameAs($teamId)));
        foreach ($this->uses->of($this->uses->sat($teamId)) as $use) {
            $tally = $this->tally($teamId, $use['handout'], $use['state'], $named);
            if (!isset($seen[$use['handout']])) {
                $seen[$use['handout']] = true;
                foreach ($tally->met as $id => $students) {
                    $met[$id] = [...$met[$id] ?? [], ...$students];
                    $shown[$id] = [...$shown[$id] ?? [], ...$tally->shown[$id] ?? []];
                }
            }
            for ($skill = $skillOf[$use['item']] ?? null; $skill !== null; $skill = $above[$skill] ?? null) {
                foreach ($tally->credits[$use['entry']] ?? [] as $student => $credit) {
                    $credits[$skill][$student][] = $credit;
                }
            }
        }
        $records = [];
        foreach ($terms->skills as $skill) {
            $records[] = new TermRecordView($skill->id, FigureView::of(SkillRecord::of(array_values($credits[$skill->id] ?? []))));
        }
        foreach ($terms->misconceptions as $idea) {
            $records[] = new TermRecordView(
                $idea->id,
                FigureView::of(Prevalence::of($met[$idea->id] ?? [], $shown[$idea->id] ?? [])),
            );
        }

        return new TermRecordsView($records);
    }

    private function tally(string $teamId, string $handoutId, string $state, string $named): TermTally
    {
        return $this->cache->get(
            "terms-$handoutId-$state-$named",
            fn (): TermTally => TermTally::of($this->counting->columns($this->handouts->find($teamId, $handoutId))),
        );
    }
}
