<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use ChalkLadder\Core\Formula\NumberText;
use ChalkLadder\Core\Marking\Change;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Marking\Api\View\MendEffectView;
use ChalkLadder\Server\Marking\Api\View\MendView;
use ChalkLadder\Server\Marking\Entity\MarkEvent;
use ChalkLadder\Server\Marking\ReadModel\MarkHistory;
use ChalkLadder\Server\Paper\EditionHistory;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\MendedQuestions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Students;
use ChalkLadder\Server\Sitting\Answer;
use ChalkLadder\Server\Sitting\MovedSitting;
use ChalkLadder\Server\Sitting\ReadModel\Remarked;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\StoredSitting;
use ChalkLadder\Server\Sitting\Work;
use Symfony\Component\Clock\ClockInterface;

/**
 * A mended paper for work that is under way: first what that touches, then in one act. Answers stay with their questions and are marked
 * by the rules that hold now; those to questions that are gone are kept aside. Putting the earlier edition back undoes it.
 */
final readonly class Mending
{
    public function __construct(
        private Handouts $handouts,
        private Editions $editions,
        private SittingReader $sittings,
        private Work $work,
        private Students $students,
        private MarkHistory $history,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** What the latest edition would do. */
    public function preview(StaffUser $who, string $handoutId): MendView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);

        return $this->view($handout, $this->plan($handout, $this->target($handout, null)));
    }

    /** @param string|null $editionId the latest where it is null */
    public function apply(StaffUser $who, string $handoutId, ?string $editionId): MendView
    {
        return $this->transaction->run(function () use ($who, $handoutId, $editionId): MendView {
            // The handout before its work, as closing does it: two acts wait for each other instead of both waiting.
            $handout = $this->handouts->held($who->teamId, $handoutId);
            $this->work->hold($handoutId);
            $edition = $this->target($handout, $editionId);
            if ($edition->id === $handout->edition->id) {
                throw Problem::conflict('This is what they have already.', 'Nothing was altered.');
            }
            $plan = $this->plan($handout, $edition);
            if ($plan->refusals !== []) {
                throw Problem::conflict('This edition cannot take the place of the one that is sat.', implode(' ', $plan->refusals));
            }
            $this->handouts->mend($who, $handoutId, $edition);
            $this->work->mend($handoutId, $plan->moved, $plan->remarked);
            $this->history->addAll(MarkEvent::MENDED_PAPER, null, $who->id, $this->clock->now(), $plan->marked);

            return $this->view($handout, $plan);
        });
    }

    private function target(HandedOut $handout, ?string $editionId): PublishedPaper
    {
        $edition = $editionId === null
            ? $this->editions->latestOf($handout->teamId, $handout->edition->paperId)
            : $this->editions->ofTeam($handout->teamId, $editionId);

        return $edition?->paperId === $handout->edition->paperId
            ? $edition
            : throw Problem::invalid(['editionId' => 'Choose an edition of this paper.']);
    }

    private function plan(HandedOut $handout, PublishedPaper $edition): MendPlan
    {
        $questions = new MendedQuestions($handout->edition, $edition);
        $sittings = $this->sittings->allOf($handout->id);
        $given = $this->sittings->given(array_column($sittings, 'id'));
        $moved = $remarked = $marked = [];
        foreach ($sittings as $then) {
            $paper = $then->edition->paper();
            $way = $then->state === SittingState::Open
                ? $then->walk->onto($paper, $edition->paper(), $then->conditions, $then->seed)
                : $then->walk;
            $now = $then->onto($edition, $way);
            $before = $given[$then->id]->answers($then);
            $answers = $given[$then->id]->answers($now);
            // A question that is blank, though a hint to it was opened, has not been answered.
            $says = array_values(array_filter($before, static fn (Answer $a): bool => $a->says()));
            $changed = $questions->carry(
                $then->seed,
                array_map(static fn (Answer $a): array => ['entry' => $a->entry, 'try' => $a->try], $says),
            );
            $mended = $this->mended($handout->teamId, $then, $says, $changed, $edition);
            $was = Answer::outcomes($before);
            foreach ($answers as $answer) {
                $old = $was[$answer->entry][$answer->try] ?? $answer->outcome;
                $change = new Change('', $old, $answer->outcome, $answer->handCredit !== null);
                $one = new Remarked($then->id, $answer->entry, $answer->try, $old, $answer->outcome);
                // What comes back from aside is not known as it was marked then, so it is written anew.
                if ($change->altersAnything() || !isset($was[$answer->entry][$answer->try])) {
                    $remarked[] = $one;
                }
                if ($change->altersCredit() && !$change->keptByHand && $then->state->isOver()) {
                    $marked[] = $one;
                }
            }
            $moved[] = new MovedSitting($then, $now, Sittings::score($then, $before), Sittings::score($now, $answers), $mended);
        }

        return new MendPlan($edition, $questions->refusals(), $questions->aside(), $moved, $remarked, $marked);
    }

    /**
     * What is asked anew may be what was asked when the answer was given: an edition that is put back takes its own marks away.
     *
     * @param list<Answer> $says    the sitting's answers, none of them blank
     * @param list<string> $changed entries that ask something else than in the edition before
     *
     * @return array<string, string|null> as {@see MovedSitting::$mended}
     */
    private function mended(string $teamId, StoredSitting $then, array $says, array $changed, PublishedPaper $edition): array
    {
        $mended = [];
        foreach ($says as $answer) {
            $isChanged = in_array($answer->entry, $changed, true);
            $to = $then->givenTo($answer);
            $known = $to === null || $to === '' ? null : $this->editions->ofTeam($teamId, $to);
            $from = match (true) {
                $known !== null => (new MendedQuestions($known, $edition))->asksTheSame($answer->entry) ? null : $to,
                $to === null && $isChanged => $then->edition->id,
                default => $to,
            };
            if ($from !== $to || ($isChanged && $from !== null)) {
                $mended[$answer->entry] = $mended[$answer->entry] ?? $from;
            }
        }

        return $mended;
    }

    private function view(HandedOut $handout, MendPlan $plan): MendView
    {
        $names = $this->students->names($handout->teamId, array_column(array_column($plan->moved, 'then'), 'studentId'));
        $effects = [];
        foreach ($plan->moved as $moved) {
            if ($moved->then->state->isOver() && !$moved->after->total->isEqualTo($moved->before->total)) {
                $effects[] = new MendEffectView(
                    $names[$moved->then->studentId] ?? '',
                    NumberText::write($moved->before->total),
                    NumberText::write($moved->after->total),
                    NumberText::write($moved->after->possible),
                );
            }
        }
        $in = static fn (\Closure $which): int => count(array_filter($plan->moved, $which));

        return new MendView(
            $handout->edition->id,
            $handout->edition->number,
            $plan->edition->id,
            $plan->edition->number,
            EditionHistory::differences($handout->edition, $plan->edition),
            $plan->refusals,
            $in(static fn (MovedSitting $m): bool => $m->then->state === SittingState::Open),
            $in(static fn (MovedSitting $m): bool => array_filter($m->mended, is_string(...)) !== []),
            $plan->aside,
            $in(static fn (MovedSitting $m): bool => $m->then->state === SittingState::Returned),
            $effects,
        );
    }
}
