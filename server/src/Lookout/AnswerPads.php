<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout;

use ChalkLadder\Core\Item\Pressed;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Server\Handout\HandedOut;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\PressesInput;
use ChalkLadder\Server\Lookout\Api\Input\PressInput;
use ChalkLadder\Server\Lookout\Api\View\PadsView;
use ChalkLadder\Server\Lookout\Api\View\PadView;
use ChalkLadder\Server\Lookout\Api\View\PressesView;
use ChalkLadder\Server\Lookout\Api\View\PressView;
use ChalkLadder\Server\Lookout\Entity\Pads;
use ChalkLadder\Server\Lookout\ReadModel\LookoutRows;
use ChalkLadder\Server\Lookout\Repository\PadsRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\SaveInput;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Saves;
use ChalkLadder\Server\Sitting\Sittings;
use Symfony\Component\Clock\ClockInterface;

/**
 * Answer pads: simple devices that send presses to a receiver, which hands them on (docs/formats/pads.md). A press becomes the answer of
 * whoever has the pad, by the same acts as from a device of their own.
 */
final readonly class AnswerPads
{
    public function __construct(
        private PadsRepository $pads,
        private Handouts $handouts,
        private LookoutRows $rows,
        private Sittings $sittings,
        private Saves $saves,
        private SittingReader $reader,
        private Push $push,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function show(string $teamId, string $handoutId): PadsView
    {
        return self::view($this->pads->find($teamId, $this->handouts->find($teamId, $handoutId)->id), null);
    }

    /** Lets a receiver speak, by a new key. Where no pad has been given out yet, all are, in the order of the list. */
    public function open(StaffUser $who, string $handoutId): PadsView
    {
        $handout = $this->handouts->find($who->teamId, $handoutId);
        $key = bin2hex(random_bytes(20));

        return $this->transaction->run(function () use ($who, $handout, $key): PadsView {
            $pads = $this->pads->findLocked($who->teamId, $handout->id);
            if ($pads === null) {
                $pads = new Pads($handout->id, $who->teamId, $who->id, $this->clock->now());
                foreach ($this->rows->students($handout->id) as $i => $student) {
                    $pads->give(sprintf('%02d', $i + 1), $student);
                }
                $this->pads->add($pads);
            }
            $pads->open($key);

            return self::view($pads, $key);
        });
    }

    public function close(StaffUser $who, string $handoutId): PadsView
    {
        return $this->change($who, $handoutId, static fn (Pads $pads) => $pads->close());
    }

    public function give(StaffUser $who, string $handoutId, string $pad, ?string $studentId): PadsView
    {
        if ($studentId !== null) {
            $this->handouts->givenTo($studentId, $handoutId);
        }

        return $this->change($who, $handoutId, static fn (Pads $pads) => $pads->give(strtoupper($pad), $studentId));
    }

    /**
     * Takes presses in. Each stands for itself: one that cannot be kept keeps none of the others. Answers are kept before the presses are
     * noted as heard, so that whatever a receiver has no answer to can be said again.
     */
    public function press(string $handoutId, PressesInput $input): PressesView
    {
        [$teamId, $known] = $this->transaction->run(function () use ($handoutId, $input): array {
            $pads = $this->pads->ofHandoutLocked($handoutId);
            if ($pads === null || !$pads->knows($input->key)) {
                throw new Problem(401, 'This receiver is not known.', 'Open the receiver in the Lookout and take its new key.');
            }

            return [$pads->teamId(), $pads->all()];
        });
        $handout = $this->handouts->find($teamId, $handoutId);
        $now = Moment::iso($this->clock->now());
        $fates = [];
        /** @var array<array-key, Pad> $heard */
        $heard = [];
        foreach ($input->presses as $press) {
            $number = strtoupper($press->pad);
            $pad = $heard[$number] ?? $known[$number] ?? new Pad();
            $fate = 'double';
            if ($pad->isNew($press->question, $press->press)) {
                $fate = $pad->student === null ? 'not given out' : $this->keep($handout, $pad->student, $number, $press);
                $heard[$number] = $pad->heard($press->question, $press->press, $now, $press->battery);
            }
            $fates[] = new PressView($press->pad, $press->press, $fate);
        }
        $this->transaction->run(function () use ($handoutId, $heard): void {
            $pads = $this->pads->ofHandoutLocked($handoutId);
            foreach ($heard as $number => $pad) {
                $pads?->hear((string) $number, $pad);
            }
        });
        $this->push->send(Push::teachers($handoutId), ['kind' => 'pads']);

        return new PressesView($fates);
    }

    private function keep(HandedOut $handout, string $studentId, string $pad, PressInput $press): string
    {
        $entry = array_search($press->question, $handout->edition->numbers(), true);
        $rule = $entry === false ? null : $handout->edition->item($entry)?->rule;
        $response = $rule === null ? null : Pressed::response($rule, $press->keys);
        if ($entry === false || $response === null) {
            return 'no such answer';
        }
        $student = new StudentUser($studentId, $handout->teamId, '');
        try {
            $view = $this->sittings->open($student, $handout->id);
            $sitting = $this->reader->ofStudent($studentId, $view->id);
            $try = $sitting->walk->current()->try ?? 1;
            if ($sitting->state !== SittingState::Open || !$sitting->walk->isOpen($entry, $try)) {
                return $sitting->state === SittingState::Open ? 'no such answer' : 'closed';
            }
            $kept = $this->saves->save($student, $view->id, new SavesInput([new SaveInput(
                $entry,
                $try,
                $sitting->covered($entry, $try, $response),
                // Newer than whatever a device of theirs has sent, also one whose clock is ahead.
                max((int) $this->clock->now()->format('Uv'), 1 + ($this->reader->counter($view->id, $entry, $try) ?? 0)),
                "pad $pad $press->press",
            )], $entry));

            return ($kept->kept[0]->fate ?? '') === 'kept' ? 'kept' : 'closed';
        } catch (Problem) {
            // Closed, not open yet, no attempt left, or to stop: what was pressed is no answer now.
            return 'closed';
        }
    }

    /** @param \Closure(Pads): mixed $act */
    private function change(StaffUser $who, string $handoutId, \Closure $act): PadsView
    {
        return $this->transaction->run(function () use ($who, $handoutId, $act): PadsView {
            $pads = $this->pads->findLocked($who->teamId, $handoutId) ?? throw Problem::notFound('The pads');
            $act($pads);

            return self::view($pads, null);
        });
    }

    private static function view(?Pads $pads, ?string $key): PadsView
    {
        $views = [];
        foreach ($pads?->all() ?? [] as $number => $pad) {
            $low = $pad->battery !== null && $pad->battery <= Pad::LOW;
            $views[] = new PadView((string) $number, $pad->student, $pad->at, $pad->battery, $low, $pad->strays);
        }

        return new PadsView($pads?->isOpen() ?? false, $key, $views);
    }
}
