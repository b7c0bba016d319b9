<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\HoldsFiles;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Roster\StudentSessions;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\View\AnswersSavedView;
use ChalkLadder\Server\Sitting\Api\View\KeptView;
use ChalkLadder\Server\Sitting\ReadModel\Saving;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
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
     * @param \Closure(): Files           $files    asked only where an answer names files
     * @param \Closure(): StudentSessions $sessions only where it is not the usual case, whose writing proves the session
     * @param \Closure(): HeldSaves       $held     likewise
     */
    public function __construct(
        private SittingReader $reader,
        private Saving $saving,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
        #[AutowireServiceClosure(Files::class)]
        private \Closure $files,
        #[AutowireServiceClosure(StudentSessions::class)]
        private \Closure $sessions,
        #[AutowireServiceClosure(HeldSaves::class)]
        private \Closure $held,
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

        return ($this->held)()->save($who, $id, $input);
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
        $now = $this->clock->now();
        if ($sitting->state !== SittingState::Open || $sitting->edition->looksBack() || $sitting->turns($input->at, $now)) {
            return null;
        }
        $answers = [];
        foreach ($input->saves as $save) {
            $answer = $save->answerIn($sitting);
            if ($answer === null || !$sitting->walk->isOpen($save->entry, $save->try) || isset($answers[$save->entry])) {
                return null;
            }
            $answers[$save->entry] = [$answer, $save->clientId];
        }
        $written = $this->saving->all($sitting, $who->toProve, array_values($answers), $input->atIn($sitting), $now);
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
}
