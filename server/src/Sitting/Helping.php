<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use ChalkLadder\Core\Item\PlainText;
use ChalkLadder\Core\Sitting\Aliases;
use ChalkLadder\Core\Sitting\Personal;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Acted;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\View\HelperView;
use ChalkLadder\Server\Sitting\Api\View\HelpLineView;
use ChalkLadder\Server\Sitting\Api\View\HelpView;
use ChalkLadder\Server\Sitting\Api\View\OwnHelpView;
use ChalkLadder\Server\Sitting\Entity\Help;
use ChalkLadder\Server\Sitting\Entity\HelpLine;
use ChalkLadder\Server\Sitting\ReadModel\Helps;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Repository\HelpRepository;
use Symfony\Component\Clock\ClockInterface;

/**
 * A teacher asks a student to help another with one question. The two see that question and what they say, and never who the other is;
 * the teacher sees all of it, and each of the three can stop it.
 */
final readonly class Helping
{
    public function __construct(
        private SittingReader $sittings,
        private HelpRepository $helps,
        private Helps $list,
        private Handouts $handouts,
        private Push $push,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<HelperView> who could help a sitting with a question */
    public function helpers(string $teamId, string $sittingId, string $entry): array
    {
        $sitting = $this->sittings->ofTeam($teamId, $sittingId);

        return $this->list->helpers($sitting->handoutId, $entry, $sittingId);
    }

    /** @return list<HelpView> of a handout, the latest first */
    public function ofHandout(string $teamId, string $handoutId): array
    {
        return $this->list->ofHandout($this->handouts->find($teamId, $handoutId)->id);
    }

    /** Asks a student to help; sent twice, it is asked once. */
    public function ask(StaffUser $who, string $sittingId, string $id, string $entry, string $helperId): void
    {
        $sitting = $this->sittings->ofTeam($who->teamId, $sittingId);
        $this->transaction->run(function () use ($who, $sitting, $id, $entry, $helperId): void {
            if ($this->list->isAsked($sitting->handoutId, $id)) {
                return;
            }
            if ($sitting->state !== SittingState::Open) {
                throw Problem::conflict('This work is handed in.', 'Open it again first.');
            }
            $try = self::tryOf($sitting, $entry) ?? throw Problem::invalid(['entry' => 'The student has not come to this question.']);
            $free = array_column($this->list->helpers($sitting->handoutId, $entry, $sitting->id), 'id');
            if (!in_array($helperId, $free, true)) {
                throw Problem::conflict('This student cannot help now.', 'Choose somebody who has the question right and is free.');
            }
            $now = $this->clock->now();
            foreach ($this->list->notStopped($sitting->handoutId, $sitting->id, $helperId) as $before) {
                $this->helps->findLocked($who->teamId, $before)?->stop(Help::BY_TEACHER, $now);
            }
            // Written first: nobody helps, or is helped by, two at once.
            $this->transaction->write();
            [$helped, $helper] = Aliases::some($id, 2);
            $this->helps->add(new Help(
                $id,
                $who->teamId,
                $sitting->handoutId,
                $sitting->id,
                $entry,
                $try,
                $helperId,
                $helped,
                $helper,
                $who->id,
                $now,
            ));
            $this->transaction->note(new Acted($who->teamId, $who->id, 'ask to help', 'student', $helperId, ['entry' => $entry]));
        });
        $this->tell($sitting->handoutId, $sitting->studentId, $helperId);
    }

    public function stop(StaffUser $who, string $id): void
    {
        $this->lead($who, $id, fn (Help $help) => $help->stop(Help::BY_TEACHER, $this->clock->now()));
    }

    /** Takes back a stop by the teacher, unless one of the two is in another help by now. */
    public function resume(StaffUser $who, string $id): void
    {
        $this->lead($who, $id, function (Help $help): void {
            $others = array_diff($this->list->notStopped($help->handoutId(), $help->sittingId(), $help->helperId()), [$help->id()]);
            if ($others !== []) {
                throw Problem::conflict('One of the two is in another help by now.', 'Stop that one first.');
            }
            $help->resume();
        });
    }

    public function letThrough(StaffUser $who, string $id, string $lineId): void
    {
        $this->lead($who, $id, fn (Help $help) => $help->letThrough($lineId, $this->clock->now()));
    }

    /** A helper says yes. */
    public function take(StudentUser $who, string $sittingId): void
    {
        $this->act($who, $sittingId, function (Help $help, bool $helps): void {
            if (!$helps) {
                throw Problem::conflict('You are the one who is helped.', 'Wait until somebody says yes.');
            }
            $help->take($this->clock->now());
        });
    }

    /** Either of the two has had enough; a helper who does not want to says so in the same way. */
    public function leave(StudentUser $who, string $sittingId): void
    {
        $this->act($who, $sittingId, function (Help $help, bool $helps): void {
            $help->stop($helps ? Help::BY_HELPER : Help::BY_HELPED, $this->clock->now());
        });
    }

    /** Says something to the other one. What tells who somebody is waits for the teacher. */
    public function say(StudentUser $who, string $sittingId, string $lineId, string $words): void
    {
        $this->act($who, $sittingId, function (Help $help, bool $helps) use ($who, $sittingId, $lineId, $words): void {
            if ($this->sittings->ofStudent($who->id, $sittingId)->hold !== null) {
                throw Problem::conflict('Your teacher has asked you to stop.', 'Look up; you can go on in a moment.');
            }
            $stored = $this->sittings->ofTeam($who->teamId, $help->sittingId());
            $item = $stored->own($help->entry(), $help->try())?->item;
            $read = $item === null ? '' : PlainText::of($item->prompt).' '.PlainText::of($item->rule->key());
            $held = Personal::in($words, $this->list->names($help->handoutId()), $read);
            $help->say(new HelpLine($lineId, $help, $helps, $words, $this->clock->now(), $held));
        });
    }

    /** What a student sees of the help they give or have; null where there is none. */
    public function seen(string $teamId, StoredSitting $sitting): ?OwnHelpView
    {
        $found = $this->list->ofStudent($sitting->id);
        if ($found === null) {
            return null;
        }
        [$help, $helpedSitting, $try] = $found;
        $isHelper = $help->helperId === $sitting->studentId;
        if (!$isHelper && $help->state !== 'on') {
            return null;
        }
        $helped = $this->sittings->ofTeam($teamId, $helpedSitting);
        $own = $isHelper && $help->state === 'on' ? $helped->own($help->entry, $try) : null;
        $mayRead = static fn (HelpLineView $line): bool => $line->byHelper === $isHelper || $line->held === null || $line->let;

        return new OwnHelpView(
            $help->id,
            $isHelper,
            $help->state,
            $isHelper ? $help->helperAs : $help->helpedAs,
            $isHelper ? $help->helpedAs : $help->helperAs,
            $helped->walk->numbers($helped->edition->paper())[$help->entry] ?? 0,
            $own?->item->face($helped->showing($help->entry)),
            array_values(array_filter($help->lines, $mayRead)),
        );
    }

    private static function tryOf(StoredSitting $sitting, string $entry): ?int
    {
        $tries = [];
        foreach ($sitting->walk->steps($sitting->edition->paper()) as $step) {
            if ($step['entry'] === $entry) {
                $tries[] = $step['try'];
            }
        }

        return $tries === [] ? null : max($tries);
    }

    /** @param \Closure(Help, bool): mixed $act told whether it is the helper who acts */
    private function act(StudentUser $who, string $sittingId, \Closure $act): void
    {
        $sitting = $this->sittings->ofStudent($who->id, $sittingId);
        [$view] = $this->list->ofStudent($sittingId) ?? throw Help::over();
        $this->transaction->run(function () use ($who, $view, $act): void {
            $help = $this->helps->findLocked($who->teamId, $view->id) ?? throw Problem::notFound('The help');
            $act($help, $help->helperId() === $who->id);
        });
        $this->tell($sitting->handoutId, $view->helpedId, $view->helperId);
    }

    /** @param \Closure(Help): mixed $act */
    private function lead(StaffUser $who, string $id, \Closure $act): void
    {
        [$handoutId, $sittingId, $helperId] = $this->transaction->run(function () use ($who, $id, $act): array {
            $help = $this->helps->findLocked($who->teamId, $id) ?? throw Problem::notFound('The help');
            $act($help);

            return [$help->handoutId(), $help->sittingId(), $help->helperId()];
        });
        $this->tell($handoutId, $this->sittings->ofTeam($who->teamId, $sittingId)->studentId, $helperId);
    }

    /** The two look anew, and so does who watches. Everybody else's device hears of it and does nothing. */
    private function tell(string $handoutId, string $helpedId, string $helperId): void
    {
        $devices = $this->list->sittings($handoutId, [$helpedId, $helperId]);
        $this->push->send(Push::students($handoutId), ['kind' => 'help', 'to' => $devices]);
        $this->push->send(Push::teachers($handoutId), ['kind' => 'helps']);
    }
}
