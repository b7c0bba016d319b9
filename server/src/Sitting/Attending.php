<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Analysis\Watching;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\PlayedInput;
use ChalkLadder\Server\Sitting\Api\View\PlayedView;
use ChalkLadder\Server\Sitting\ReadModel\LeftScreens;
use ChalkLadder\Server\Sitting\ReadModel\Playing;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Clock\ClockInterface;

/** What a device tells of its student besides answers: what was played, and when they were away. */
final readonly class Attending
{
    public function __construct(
        private SittingReader $reader,
        private Playing $playing,
        private LeftScreens $left,
        private EventDispatcherInterface $events,
        private ClockInterface $clock,
    ) {
    }

    /** Keeps what was played of a source, and says how far the student has been in it. */
    public function played(StudentUser $who, string $id, PlayedInput $input): PlayedView
    {
        $sitting = $this->reader->ofStudent($who->id, $id);
        $file = strtolower($input->file);
        if (!in_array($file, $sitting->edition->paper()->files(), true)) {
            throw Problem::invalid(['file' => 'This is nothing that the paper plays.']);
        }
        $this->playing->keep($id, $who->id, $file, $input->device, $input->played());

        return new PlayedView(Watching::of([$this->playing->of($id, $file)])->students[0]['until'] ?? 0.0);
    }

    /** The student is no more in full screen, or was not for so long; told to the teacher where the handout says so. */
    public function left(StudentUser $who, string $id, string $leave, int $seconds): void
    {
        $sitting = $this->reader->ofStudent($who->id, $id);
        if ($sitting->conditions->fullScreen) {
            $this->left->keep($id, strtolower($leave), $seconds, $this->clock->now());
            $this->events->dispatch(new SittingChanged($sitting->handoutId, $id));
        }
    }
}
