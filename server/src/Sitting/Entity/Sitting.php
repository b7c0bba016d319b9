<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Entity;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Marking\Score;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Happenings;
use ChalkLadder\Server\Platform\Storage\Id;
use ChalkLadder\Server\Platform\Storage\Moment;
use ChalkLadder\Server\Platform\Storage\Root;
use ChalkLadder\Server\Platform\Storage\TeamOwned;
use ChalkLadder\Server\Sitting\HandMark;
use ChalkLadder\Server\Sitting\SittingChanged;
use ChalkLadder\Server\Sitting\WorkChanged;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\ORM\Mapping as ORM;

/** One student's one attempt at a handout. */
#[ORM\Entity]
#[ORM\Table(name: 'sitting')]
class Sitting implements Root, TeamOwned
{
    use Happenings;

    public const BY_STUDENT = 'student';
    /** The handout closed, by a teacher or by the clock. */
    public const BY_CLOSING = 'close';
    /** The time that the student had of their own was over. */
    public const BY_TIME = 'time';
    /** A teacher took this one in. */
    public const BY_TEACHER = 'teacher';

    #[ORM\Id]
    #[ORM\Column(type: 'guid')]
    protected string $id;

    #[ORM\Column(type: 'text', enumType: SittingState::class)]
    protected SittingState $state = SittingState::Open;

    #[ORM\Column(name: 'at_entry', type: 'text', nullable: true)]
    protected ?string $at;

    #[ORM\Column(name: 'handed_in_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $handedInAt = null;

    #[ORM\Column(name: 'handed_in_by', type: 'text', nullable: true)]
    protected ?string $handedInBy = null;

    #[ORM\Column(name: 'returned_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $returnedAt = null;

    #[ORM\Column(type: 'text')]
    protected string $message = '';

    #[ORM\Column(type: 'text', nullable: true)]
    protected ?string $reply = null;

    #[ORM\Column(name: 'replied_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $repliedAt = null;

    #[ORM\Column(type: 'decimal', precision: 12, scale: 6)]
    protected string $marks = '0';

    /** Of how many marks, by the questions that were met; null before they were counted. */
    #[ORM\Column(type: 'decimal', precision: 12, scale: 6, nullable: true)]
    protected ?string $possible = null;

    /** Counts changes, so that a screen knows the newer of two pictures. Saves count too, so this is no version to lock by. */
    #[ORM\Column(type: 'integer')]
    protected int $revision = 1;

    /** Whether the device knows options by names of its own ({@see \ChalkLadder\Core\Item\Veil}); those begun before do not. */
    #[ORM\Column(type: 'boolean')]
    protected bool $veiled = true;

    /** The question whose time runs, where each has a time of its own. */
    #[ORM\Column(name: 'turn_entry', type: 'text', nullable: true)]
    protected ?string $turn = null;

    #[ORM\Column(name: 'turn_due_at', type: 'moment', nullable: true)]
    protected ?\DateTimeImmutable $turnDueAt = null;

    /** @var array<array-key, mixed> when questions that were answered have changed since, and the edition that they were answered in, by entry */
    #[ORM\Column(type: 'detail')]
    protected array $mended = [];

    /** @var Collection<int, StoredResponse> */
    #[ORM\OneToMany(targetEntity: StoredResponse::class, mappedBy: 'sitting', cascade: ['persist'])]
    protected Collection $responses;

    /** @var Collection<int, LateResponse> */
    #[ORM\OneToMany(targetEntity: LateResponse::class, mappedBy: 'sitting', cascade: ['persist'])]
    protected Collection $lateResponses;

    public function __construct(
        #[ORM\Column(name: 'team_id', type: 'guid')]
        protected string $teamId,
        #[ORM\Column(name: 'handout_id', type: 'guid')]
        protected string $handoutId,
        #[ORM\Column(name: 'student_id', type: 'guid')]
        protected string $studentId,
        #[ORM\Column(type: 'integer')]
        protected int $attempt,
        #[ORM\Column(type: 'text')]
        protected string $seed,
        #[ORM\Column(type: 'walk')]
        protected Walk $walk,
        #[ORM\Column(name: 'opened_at', type: 'moment')]
        protected \DateTimeImmutable $openedAt,
        /** as the student's support was at its beginning, so that a question keeps its options */
        #[ORM\Column(name: 'fewer_options', type: 'smallint')]
        protected int $fewerOptions = 0,
        /** the end of the time that is set from the beginning; null where none is */
        #[ORM\Column(name: 'due_at', type: 'moment', nullable: true)]
        protected ?\DateTimeImmutable $dueAt = null,
    ) {
        $this->id = Id::fresh();
        $this->at = $walk->current()->entries[0] ?? null;
        $this->responses = new ArrayCollection();
        $this->lateResponses = new ArrayCollection();
        $this->note(new SittingChanged($handoutId, $this->id));
    }

    public function id(): string
    {
        return $this->id;
    }

    public function teamId(): string
    {
        return $this->teamId;
    }

    public function studentId(): string
    {
        return $this->studentId;
    }

    public function handoutId(): string
    {
        return $this->handoutId;
    }

    public function attempt(): int
    {
        return $this->attempt;
    }

    public function state(): SittingState
    {
        return $this->state;
    }

    public function isReturned(): bool
    {
        return $this->state === SittingState::Returned;
    }

    public function hasReply(): bool
    {
        return $this->reply !== null;
    }

    public function response(string $entry, int $try): ?StoredResponse
    {
        return $this->responses->findFirst(static fn (int $i, StoredResponse $r): bool => $r->isTo($entry, $try));
    }

    public function standAt(?string $entry): void
    {
        $this->at = $entry ?? $this->at;
        $this->changed();
    }

    /**
     * An answer that is settled may be told how it stands, and changes no more.
     *
     * @param \DateTimeImmutable|null $at now, where a question that was left blank is left for good as well
     */
    public function settle(string $entry, int $try, ?\DateTimeImmutable $at): void
    {
        if ($this->state === SittingState::Open && $this->walk->isOpen($entry, $try)) {
            ($at === null ? $this->response($entry, $try) : $this->responseOrBlank($entry, $try, $at))?->settle();
            $this->changed();
        }
    }

    /**
     * The time for a question runs from when the student first comes to it, and they come to one after the other.
     *
     * @param list<string> $questions entries that are answered, of the open pass and in its order
     */
    public function beginTurn(string $entry, array $questions, int $seconds, \DateTimeImmutable $now): void
    {
        $try = $this->walk->current()->try ?? 1;
        $left = array_filter($questions, fn (string $q): bool => $this->response($q, $try)?->isSettled() !== true);
        if ($entry === reset($left) && $entry !== $this->turn) {
            $this->turn = $entry;
            $this->turnDueAt = $now->modify("+$seconds seconds");
            $this->changed();
        }
    }

    /** The time for a question is over: what is there stays. */
    public function endTurn(\DateTimeImmutable $now): void
    {
        if ($this->turn !== null) {
            $this->settle($this->turn, $this->walk->current()->try ?? 1, $now);
        }
        $this->turn = $this->turnDueAt = null;
    }

    /** What the clock ran on for while it should have stood still. */
    public function moveTurn(int $seconds): void
    {
        if ($this->turnDueAt !== null) {
            $this->turnDueAt = $this->turnDueAt->modify(sprintf('%+d seconds', $seconds));
            $this->changed();
        }
    }

    /** Help is opened step by step: the `nth` only after those before it, and only while its question is open. */
    public function openHint(string $entry, int $try, int $nth, \DateTimeImmutable $at): void
    {
        $response = $this->response($entry, $try);
        if ($this->state !== SittingState::Open || !$this->walk->isOpen($entry, $try) || $nth !== ($response?->hintsOpened() ?? 0) + 1) {
            return;
        }
        $this->responseOrBlank($entry, $try, $at)->openHint();
        $this->changed();
    }

    private function responseOrBlank(string $entry, int $try, \DateTimeImmutable $at): StoredResponse
    {
        $response = $this->response($entry, $try);
        if ($response === null) {
            $response = StoredResponse::blank($this, $entry, $try, $at);
            $this->responses->add($response);
        }

        return $response;
    }

    /** Leaves the open pass for the next. What was answered in it is settled. */
    public function goOn(Walk $walk): void
    {
        foreach ($this->responses as $response) {
            $response->settle();
        }
        $this->turn = $this->turnDueAt = null;
        $this->takeWay($walk);
        $this->at = $walk->current()->entries[0] ?? $this->at;
    }

    /** Another way from here, where what decided it has changed. */
    public function takeWay(Walk $walk): void
    {
        $this->walk = $walk;
        $entries = $walk->current()->entries ?? [];
        if (!in_array($this->at, $entries, true)) {
            $this->at = $entries[0] ?? $this->at;
        }
        $this->changed();
    }

    /**
     * The paper is another now.
     *
     * @param array<string, string|null> $mended by entry that was answered: the edition that its answer was given to, where it asks
     *                                           something else by now; null where it asks the same again
     */
    public function mend(Walk $walk, array $mended, Score $score, \DateTimeImmutable $at): void
    {
        foreach ($mended as $entry => $edition) {
            if ($edition === null) {
                unset($this->mended[$entry]);
            } else {
                $this->mended[$entry] = Moment::iso($at).' '.$edition;
            }
        }
        $this->takeWay($walk);
        $this->scored($score);
    }

    public function keepLate(LateResponse $late): void
    {
        if (!$this->lateResponses->exists(static fn (int $i, LateResponse $l): bool => $l->isTheSameAs($late))) {
            $this->lateResponses->add($late);
        }
    }

    public function handIn(string $by, Score $score, \DateTimeImmutable $at): void
    {
        $this->state = SittingState::HandedIn;
        $this->handedInAt = $at;
        $this->handedInBy = $by;
        $this->scored($score);
    }

    /** Gives it back to be worked on, with all that was in it. */
    public function reopen(): void
    {
        if ($this->state !== SittingState::HandedIn && $this->state !== SittingState::Marked) {
            throw Problem::conflict(
                'This work cannot be opened again.',
                $this->state === SittingState::Open ? 'It is open.' : 'Take it back from the student first.',
            );
        }
        $this->state = SittingState::Open;
        // Whoever gets it back has as long as the handout is open.
        $this->dueAt = $this->turn = $this->turnDueAt = null;
        $this->handedInAt = null;
        $this->handedInBy = null;
        $this->changed();
    }

    /** More time, or less, of their own. */
    public function moveEnd(int $seconds): void
    {
        if ($this->dueAt !== null && $this->state === SittingState::Open) {
            $this->dueAt = $this->dueAt->modify(sprintf('%+d seconds', $seconds));
            $this->changed();
        }
    }

    public function wasTakenByClosing(): bool
    {
        return $this->handedInBy === self::BY_CLOSING && ($this->state === SittingState::HandedIn || $this->state === SittingState::Marked);
    }

    public function markByHand(string $entry, int $try, HandMark $mark): void
    {
        ($this->response($entry, $try) ?? throw Problem::notFound('The answer'))->markByHand($mark);
    }

    public function replaceOutcome(string $entry, int $try, Outcome $outcome): void
    {
        $this->response($entry, $try)?->replaceOutcome($outcome);
    }

    /** Brings marks and state in line with the answers. Open and returned sittings stay what they are. */
    public function scored(Score $score): void
    {
        if ($this->state === SittingState::HandedIn || $this->state === SittingState::Marked) {
            $this->state = SittingState::afterMarking($score->waiting !== []);
        }
        $this->marks = self::decimal($score->total);
        $this->possible = self::decimal($score->possible);
        $this->changed();
    }

    public function giveBack(string $message, \DateTimeImmutable $at): void
    {
        if ($this->state !== SittingState::Marked) {
            throw new \LogicException('Only marked work is returned.');
        }
        $this->state = SittingState::Returned;
        $this->returnedAt = $at;
        $this->message = $message;
        $this->changed();
    }

    /** Returned work goes back to the teacher, unless the student has replied to it. */
    public function takeBack(): void
    {
        if ($this->state !== SittingState::Returned || $this->reply !== null) {
            throw new \LogicException('Only returned work without a reply is taken back.');
        }
        $this->state = SittingState::Marked;
        $this->returnedAt = null;
        $this->changed();
    }

    public function replyWith(string $text, \DateTimeImmutable $at): void
    {
        if ($this->state !== SittingState::Returned) {
            throw Problem::conflict('This work has not been returned.', 'You can reply once it is back.');
        }
        if ($this->reply !== null) {
            throw Problem::conflict('You have replied already.', 'One reply is kept for each piece of work.');
        }
        $this->reply = $text;
        $this->repliedAt = $at;
        $this->changed();
    }

    /** Nobody sits its handout any more. */
    public function handoutClosed(): void
    {
        $this->changed();
    }

    public static function decimal(BigRational $marks): string
    {
        return (string) $marks->toScale(6, RoundingMode::HALF_UP);
    }

    private function changed(): void
    {
        ++$this->revision;
        $this->note(new SittingChanged($this->handoutId, $this->id));
        if ($this->state->isOver()) {
            $this->note(new WorkChanged($this->teamId, $this->handoutId, $this->id));
        }
    }
}
