<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\OwnItem;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Showing;
use ChalkLadder\Core\Item\Veil;
use ChalkLadder\Core\Sitting\Checking;
use ChalkLadder\Core\Sitting\Conditions;
use ChalkLadder\Core\Sitting\SittingState;
use ChalkLadder\Core\Sitting\Support;
use ChalkLadder\Core\Sitting\Told;
use ChalkLadder\Core\Sitting\ToldFrom;
use ChalkLadder\Core\Sitting\Walk;
use ChalkLadder\Server\Handout\Window;
use ChalkLadder\Server\Paper\PublishedPaper;

/** A sitting as it is kept, with the edition and conditions it is pinned to. */
final readonly class StoredSitting
{
    public function __construct(
        public string $id,
        public string $handoutId,
        public string $studentId,
        public int $attempt,
        public SittingState $state,
        public string $seed,
        public Walk $walk,
        public PublishedPaper $edition,
        public int $rulesVersion,
        public Conditions $conditions,
        public BigRational $markStep,
        public Window $window,
        public bool $veiled = true,
        public ?string $at = null,
        public string $message = '',
        public ?string $reply = null,
        public ?string $handedInAt = null,
        public Support $support = new Support(),
        public int $fewerOptions = 0,
        /** @var array<string, string> when questions that were answered have changed since, and the edition that they were answered in, by entry */
        public array $mended = [],
        /** words on the screen of a student who is to stop; null where they may go on */
        public ?string $hold = null,
        public ?\DateTimeImmutable $dueAt = null,
        /** the question whose time runs, where each has a time of its own */
        public ?string $turn = null,
        public ?\DateTimeImmutable $turnDueAt = null,
        /** the handout has been closed since the work was handed in */
        public bool $closedSince = false,
    ) {
    }

    /** The last moment that this work has passed, of those from which a thing may be told. */
    public function reached(): ToldFrom
    {
        return ToldFrom::reached($this->state, $this->closedSince);
    }

    public function tells(Told $thing): bool
    {
        return $this->conditions->feedback->tells($thing, $this->reached());
    }

    /** The same under another state of the paper. */
    public function onto(PublishedPaper $edition, Walk $walk): self
    {
        return new self(
            $this->id,
            $this->handoutId,
            $this->studentId,
            $this->attempt,
            $this->state,
            $this->seed,
            $walk,
            $edition,
            $this->rulesVersion,
            $this->conditions,
            $this->markStep,
            $this->window,
            $this->veiled,
            $this->at,
            $this->message,
            $this->reply,
            $this->handedInAt,
            $this->support,
            $this->fewerOptions,
            $this->mended,
            $this->hold,
            $this->dueAt,
            $this->turn,
            $this->turnDueAt,
            $this->closedSince,
        );
    }

    /** Seconds after the end of a question's time in which what was typed before it may still arrive. */
    private const TURN_GRACE = 15;

    /** Whole seconds of the time for the question at hand, 0 at its end; null where none runs. */
    public function turnLeft(\DateTimeImmutable $now): ?int
    {
        return $this->turnDueAt === null || $this->hold !== null ? null : max(0, $this->turnDueAt->getTimestamp() - $now->getTimestamp());
    }

    /** The time for the question at hand and the grace are over. */
    public function isTurnOver(\DateTimeImmutable $now): bool
    {
        return $this->state === SittingState::Open && $this->turnLeft($now->modify('-'.self::TURN_GRACE.' seconds')) === 0;
    }

    /** Whether being at a question now brings a new turn about, or comes after one that is over. */
    public function turns(?string $at, \DateTimeImmutable $now): bool
    {
        return ($this->conditions->secondsEach !== null && $at !== null && $at !== $this->turn) || $this->isTurnOver($now);
    }

    /** Whole seconds, 0 at its end, while the student may go on; null where no time is set or it stands still. */
    public function secondsLeft(\DateTimeImmutable $now): ?int
    {
        return $this->dueAt === null || $this->hold !== null ? null : max(0, $this->dueAt->getTimestamp() - $now->getTimestamp());
    }

    /** Whether a question has changed since this answer to it was given. */
    public function isMended(Answer $answer): bool
    {
        return $this->givenTo($answer) !== null;
    }

    /** The edition that this answer was given to, where its question has changed since; '' where that was not noted. */
    public function givenTo(Answer $answer): ?string
    {
        [$at, $edition] = explode(' ', $this->mended[$answer->entry] ?? '', 2) + ['', ''];

        return $answer->savedAt < $at ? $edition : null;
    }

    /** The question as this sitting's student has it at a try. */
    public function own(string $entry, int $try): ?OwnItem
    {
        return $this->edition->own($entry, $this->seed, $try);
    }

    /** How this student's device names the options of a question. */
    public function veil(string $entry): Veil
    {
        return $this->veiled ? Veil::over($this->seed, $entry) : Veil::none();
    }

    /** A response as this student's device knows it. */
    public function covered(string $entry, int $try, Response $response): Response
    {
        $own = $this->own($entry, $try);

        return $own === null ? $response : $this->veil($entry)->cover($own->item->rule, $response);
    }

    public function showing(string $entry): Showing
    {
        return new Showing($this->veil($entry), $this->seed, $entry, $this->conditions->shuffleOptions, $this->fewerOptions);
    }

    /** @param array<string, array<int, Response>> $given by entry and try; needed where a check looks back */
    public function checking(array $given = []): Checking
    {
        return new Checking($this->edition->paper(), $this->own(...), $given);
    }
}
