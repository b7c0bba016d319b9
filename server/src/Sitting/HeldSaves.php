<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\View\AnswersSavedView;
use ChalkLadder\Server\Sitting\Api\View\KeptView;
use ChalkLadder\Server\Sitting\Entity\LateResponse;
use ChalkLadder\Server\Sitting\Entity\Sitting;
use ChalkLadder\Server\Sitting\ReadModel\Aside;
use ChalkLadder\Server\Sitting\ReadModel\Saving;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Repository\SittingRepository;
use Symfony\Component\Clock\ClockInterface;

/** Answers that are not the usual case ({@see Saves}): taken one by one while the sitting is held. Nothing that was entered is dropped. */
final readonly class HeldSaves
{
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private Saving $saving,
        private Aside $aside,
        private Editions $editions,
        private Turns $turns,
        private Transaction $transaction,
        private ClockInterface $clock,
        private Deadlines $deadlines,
    ) {
    }

    public function save(StudentUser $who, string $id, SavesInput $input): AnswersSavedView
    {
        $this->deadlines->keep();

        return $this->transaction->run(function () use ($who, $id, $input): AnswersSavedView {
            $entity = $this->sittings->ofStudentLocked($who, $id);
            $sitting = $this->turns->end($entity, $this->reader->ofStudent($who->id, $id));
            $kept = array_map(
                fn (SaveInput $save): KeptView => new KeptView(
                    $save->entry,
                    $save->try,
                    $save->counter,
                    $this->keep($entity, $sitting, $save),
                ),
                $input->saves,
            );
            if ($sitting->state === SittingState::Open) {
                if ($sitting->edition->looksBack()) {
                    $this->refreshOutcomes($entity, $sitting);
                }
                $at = $input->atIn($sitting);
                $entity->standAt($at);
                $this->turns->begin($entity, $sitting, $at);
            }

            return new AnswersSavedView($kept, $sitting->state->value, Moment::iso($this->clock->now()));
        });
    }

    private function keep(Sitting $entity, StoredSitting $sitting, SaveInput $save): string
    {
        $answer = $save->answerIn($sitting);
        if ($answer === null) {
            return $this->keepAside($sitting, $save) ? 'aside' : 'unknown';
        }
        $isOpen = $sitting->state === SittingState::Open && $sitting->walk->isOpen($save->entry, $save->try);
        if ($isOpen && $this->saving->one($sitting->id, $answer, $save->clientId, $this->clock->now())) {
            return 'kept';
        }
        // Who left it for good has said so; whom time has taken from it may have been typing.
        $wasLeft = $isOpen && $sitting->conditions->secondsEach === null;
        if ($wasLeft || ($this->reader->counter($sitting->id, $save->entry, $save->try) ?? -1) >= $save->counter) {
            return 'older';
        }
        $entity->keepLate(new LateResponse($entity, $save->entry, $save->try, $save->counter, $answer->response, $this->clock->now()));

        return $isOpen ? 'older' : 'closed';
    }

    /** What was typed while the question was taken out of the paper is kept with the other answers to it. */
    private function keepAside(StoredSitting $sitting, SaveInput $save): bool
    {
        $asking = $this->editions->asking($sitting->edition->paperId, $save->entry);
        $answer = $asking === null ? null : $save->answerIn($sitting->onto($asking, $sitting->walk));
        if ($asking === null || $answer === null) {
            return false;
        }
        $this->saving->one($sitting->id, $answer, $save->clientId, $this->clock->now());
        $this->aside->move($sitting->handoutId, $asking->id, array_keys($sitting->edition->itemIds));

        return true;
    }

    /** Brings stored outcomes in line where checks look back at answers that have changed. */
    private function refreshOutcomes(Sitting $entity, StoredSitting $sitting): void
    {
        foreach ($this->reader->answers($sitting) as $answer) {
            if ($sitting->own($answer->entry, $answer->try)?->item->looksBackTo() !== []) {
                $entity->replaceOutcome($answer->entry, $answer->try, $answer->outcome);
            }
        }
    }
}
