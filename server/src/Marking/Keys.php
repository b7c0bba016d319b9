<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\DocumentInvalid;
use ChalkLadder\Core\Item\ItemTemplate;
use ChalkLadder\Core\Item\Keyless;
use ChalkLadder\Core\Item\NotAcceptable;
use ChalkLadder\Core\Item\ResponseReader;
use ChalkLadder\Core\Marking\Accepting;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\RichQuestion;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\Teams;
use ChalkLadder\Server\Marking\Api\Input\KeyInput;
use ChalkLadder\Server\Marking\Api\View\KeyChangeView;
use ChalkLadder\Server\Marking\Entity\MarkEvent;
use ChalkLadder\Server\Marking\ReadModel\MarkHistory;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Paper\PublishedPaper;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Sitting\ReadModel\Remarking;
use ChalkLadder\Server\Sitting\Work;
use Symfony\Component\Clock\ClockInterface;

/**
 * Keys that change after the class has sat: first who gains and who loses, then all responses re-marked in one act that
 * can be undone. A changed key holds for every handout of the edition; marks set by hand are left alone.
 */
final readonly class Keys
{
    public function __construct(
        private Handouts $handouts,
        private Editions $editions,
        private KeyEffects $effects,
        private Remarking $remarking,
        private Work $work,
        private MarkHistory $history,
        private Bank $bank,
        private RichQuestion $rich,
        private Teams $teams,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function preview(StaffUser $who, string $handoutId, string $entry, KeyInput $input): KeyChangeView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $after = $this->changed($handout->edition, $entry, $input);

        return self::view(null, $after, $this->effects->of($handout->edition, $entry, $after, $handout->markStep, false), false);
    }

    public function apply(StaffUser $who, string $handoutId, string $entry, KeyInput $input): KeyChangeView
    {
        return $this->transaction->run(function () use ($who, $handoutId, $entry, $input): KeyChangeView {
            $handout = $this->handouts->find($who->teamId, $handoutId);
            // As it is under the lock: the key may have changed in between.
            $edition = $this->editions->hold($who->teamId, $handout->edition->id);
            $before = $edition->template($entry)?->rule() ?? throw Problem::notFound('The question');
            $after = $this->changed($edition, $entry, $input);
            $effect = $this->effects->of($edition, $entry, $after, $handout->markStep, true);
            $changeId = $this->editions->changeKey($who, $edition->id, $entry, $before, $after->rule(), $input->reason);
            $this->store($who, $edition, $effect, $changeId, MarkEvent::KEY_CHANGE, $handout->markStep);
            $this->transaction->note(new Acted(
                $who->teamId,
                $who->id,
                'change key',
                'handout',
                $handoutId,
                [
                    'entry' => $entry,
                    'question' => $edition->numbers()[$entry] ?? 0,
                    'change' => $changeId,
                    'gains' => count($effect->gains),
                    'loses' => count($effect->loses),
                ],
            ));

            return self::view($changeId, $after, $effect, $this->bringHome($who, $edition, $entry, $before, $after->rule()));
        });
    }

    /** Takes the latest change of an entry's key back. */
    public function undo(StaffUser $who, string $changeId): KeyChangeView
    {
        return $this->transaction->run(function () use ($who, $changeId): KeyChangeView {
            $held = $this->editions->heldChange($who->teamId, $changeId);
            $edition = $held->edition;
            $step = $this->teams->markStep($who->teamId);
            $change = $this->editions->takeBack($who, $held);
            $entry = $change->entry();
            $now = $edition->template($entry) ?? throw Problem::notFound('The question');
            $before = $now->withRule($change->ruleBefore());
            $effect = $this->effects->of($edition, $entry, $before, $step, true);
            $this->store($who, $edition, $effect, $changeId, MarkEvent::KEY_UNDO, $step);
            $this->bringHome($who, $edition, $entry, $now->rule(), $before->rule());
            $this->transaction->note(new Acted(
                $who->teamId,
                $who->id,
                'undo key',
                'edition',
                $edition->id,
                ['entry' => $entry, 'question' => $edition->numbers()[$entry] ?? 0, 'change' => $changeId],
            ));

            return self::view($changeId, $before, $effect, false);
        });
    }

    /** The question with the key that is asked for. */
    private function changed(PublishedPaper $edition, string $entry, KeyInput $input): ItemTemplate
    {
        $template = $edition->template($entry) ?? throw Problem::notFound('The question');
        $item = $template->sample();
        if ($item->rule->waitsForMarker() && !$item->rule instanceof Keyless) {
            throw Problem::conflict('This question is marked by hand.', 'It has a rubric, not a key. Mark the answers one by one.');
        }
        if ($input->rule === null && $template->hasVariables()) {
            throw Problem::conflict(
                'Every student has numbers of their own here.',
                'What is right for one is not for another. Change the key, or set the one mark by hand.',
            );
        }
        try {
            $rule = $input->rule ?? Accepting::into(
                $item->rule,
                ResponseReader::fromArray($input->accept ?? []),
                $input->exactCredit(),
                $input->feedback,
            )->toArray();
            $after = $template->withRule($this->rich->cleanedRule($template->type(), $rule));
        } catch (NotAcceptable $e) {
            throw $e->field === ''
                ? Problem::conflict($e->getMessage(), 'Mark it by hand.')
                : Problem::invalid([$e->field => $e->getMessage()]);
        } catch (DocumentInvalid $e) {
            throw Problem::document($e);
        }
        foreach ($after->sample()->rule->defects() as $defect) {
            if ($defect->blocks) {
                throw Problem::invalid(['rule' => $defect->message]);
            }
        }

        return $after;
    }

    private function store(
        StaffUser $who,
        PublishedPaper $edition,
        KeyEffect $effect,
        string $changeId,
        string $kind,
        BigRational $step,
    ): void {
        $this->remarking->store($effect->altered);
        $this->history->addAll($kind, $changeId, $who->id, $this->clock->now(), $effect->marked);
        $sittings = array_values(array_unique(array_column($effect->marked, 'sittingId')));
        $this->remarking->recount($sittings, $edition, $step);
        $this->work->mendWays($who->teamId, $sittings);
    }

    /**
     * @param array<array-key, mixed> $before as it is written
     * @param array<array-key, mixed> $after
     */
    private function bringHome(StaffUser $who, PublishedPaper $edition, string $entry, array $before, array $after): bool
    {
        if (!$this->bank->replaceRule($who, $edition->itemIds[$entry] ?? '', $before, $after)) {
            return false;
        }
        $this->editions->cameHome($edition->id, $entry);

        return true;
    }

    private static function view(?string $changeId, ItemTemplate $after, KeyEffect $effect, bool $bank): KeyChangeView
    {
        return new KeyChangeView(
            $changeId,
            $after->rule(),
            $effect->gains,
            $effect->loses,
            $effect->same,
            $effect->byHand,
            $effect->returned,
            $bank,
        );
    }
}
