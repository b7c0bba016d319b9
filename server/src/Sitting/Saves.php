<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Deadlines;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Paper\Editions;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentSessions;
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
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;

/**
 * Answers as they arrive from a device: by far the most frequent act, so it has a service of its own, which needs little
 * (docs/decisions/hot-path.md). Every save may be repeated without harm, and nothing that was entered is ever dropped.
 */
final readonly class Saves
{
    /**
     * @param \Closure(): Files           $files     asked only where an answer names files
     * @param \Closure(): Deadlines       $deadlines asked only where it is not the usual case
     * @param \Closure(): StudentSessions $sessions  likewise: the usual writing proves the session
     */
    public function __construct(
        private SittingRepository $sittings,
        private SittingReader $reader,
        private Saving $saving,
        private Aside $aside,
        private Editions $editions,
        private Turns $turns,
        private Transaction $transaction,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
        #[AutowireServiceClosure(Files::class)]
        private \Closure $files,
        #[AutowireServiceClosure(Deadlines::class)]
        private \Closure $deadlines,
        #[AutowireServiceClosure(StudentSessions::class)]
        private \Closure $sessions,
    ) {
    }

    public function save(StudentUser $who, string $id, SavesInput $input): AnswersSavedView
    {
        $this->refuseFilesOfOthers($who, $id, $input);
        $kept = $this->saveAtOnce($who, $id, $input);
        if ($kept !== null) {
            return new AnswersSavedView($kept, SittingState::Open->value, Moment::iso($this->clock->now()));
        }
        $who = ($this->sessions)()->prove($who);
        $this->reader->forget($who->id, $id);
        ($this->deadlines)()->keep();

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
                $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : null;
                $entity->standAt($at);
                $this->turns->begin($entity, $sitting, $at);
            }

            return new AnswersSavedView($kept, $sitting->state->value, Moment::iso($this->clock->now()));
        });
    }

    /**
     * The usual case, one writing: every answer belongs to the pass that is open, and the sitting is still as it is
     * remembered. Null when it is not the usual case, and nothing has been written.
     *
     * @return list<KeptView>|null
     */
    private function saveAtOnce(StudentUser $who, string $id, SavesInput $input): ?array
    {
        $sitting = $this->reader->remembered($who->id, $id);
        if ($sitting->state !== SittingState::Open || $sitting->edition->looksBack() || $this->turns->turns($sitting, $input->at)) {
            return null;
        }
        $answers = [];
        foreach ($input->saves as $save) {
            $answer = self::answer($sitting, $save);
            if ($answer === null || !$sitting->walk->isOpen($save->entry, $save->try) || isset($answers[$save->entry])) {
                return null;
            }
            $answers[$save->entry] = [$answer, $save->clientId];
        }
        $at = $input->at !== null && $sitting->edition->has($input->at) ? $input->at : null;
        $written = $this->saving->all($sitting, $who->toProve, array_values($answers), $at, $this->clock->now());
        if ($written === null) {
            return null;
        }
        $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));

        return array_map(
            static fn (SaveInput $s): KeptView => new KeptView(
                $s->entry,
                $s->try,
                $s->counter,
                in_array($s->entry, $written, true) ? 'kept' : 'older',
            ),
            $input->saves,
        );
    }

    /** A file that is named in an answer was sent in this sitting. */
    private function refuseFilesOfOthers(StudentUser $who, string $id, SavesInput $input): void
    {
        foreach ($input->saves as $i => $save) {
            $files = [];
            foreach ([$save->value, $save->working] as $part) {
                array_push($files, ...($part instanceof HoldsFiles ? $part->files() : []));
            }
            if ($files === []) {
                continue;
            }
            $who = ($this->sessions)()->prove($who);
            if (!($this->files)()->areOf($id, $files)) {
                throw Problem::invalid(["saves.$i.value.files" => 'A file of this answer was not sent here.']);
            }
        }
    }

    /** The answer as it is to be stored; null when the paper has no such question. */
    private static function answer(StoredSitting $sitting, SaveInput $save): ?Answer
    {
        $own = $sitting->own($save->entry, $save->try);
        if ($own === null) {
            return null;
        }
        $value = $sitting->veil($save->entry)->uncover($own->item->rule, $save->value);

        return new Answer(
            $save->entry,
            $save->try,
            $value,
            $save->counter,
            false,
            $own->check($value),
            millis: $save->millis,
            confidence: $save->confidence,
            working: $own->item->working ? $save->working : null,
        );
    }

    private function keep(Sitting $entity, StoredSitting $sitting, SaveInput $save): string
    {
        $answer = self::answer($sitting, $save);
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
        $answer = $asking === null ? null : self::answer($sitting->onto($asking, $sitting->walk), $save);
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
