<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

use Brick\Math\BigRational;
use ChalkLadder\Core\Item\Outcome;
use ChalkLadder\Core\Item\Response;
use ChalkLadder\Core\Item\Verdict;
use ChalkLadder\Server\Paper\PublishedPaper;

/** A response with what was made of it, by machine or by hand. */
final readonly class Answer
{
    /**
     * @param list<int|null>|null $handLevels the rubric level picked for each criterion
     * @param int|null            $millis     how long the question was in front of the student, in milliseconds
     * @param int                 $hintsOpened how many steps of help were asked for
     * @param int|null            $confidence how sure the student is, 1 to 3
     */
    public function __construct(
        public string $entry,
        public int $try,
        public Response $response,
        public int $counter,
        public bool $settled,
        public Outcome $outcome,
        public ?BigRational $handCredit = null,
        public ?array $handLevels = null,
        public string $comment = '',
        public int $hintsOpened = 0,
        public string $savedAt = '',
        public int $markVersion = 0,
        public ?int $millis = null,
        public ?int $confidence = null,
        public ?Response $working = null,
    ) {
    }

    /** The credit that counts: a person's before a machine's. Null waits for a marker. */
    public function credit(): ?BigRational
    {
        return $this->handCredit ?? $this->outcome->credit;
    }

    public function waits(): bool
    {
        return $this->outcome->verdict === Verdict::ByHand && $this->handCredit === null;
    }

    /** It is not blank, or somebody has marked it. */
    public function says(): bool
    {
        return $this->outcome->verdict !== Verdict::None || $this->handCredit !== null;
    }

    public function verdict(): Verdict
    {
        return $this->handCredit === null ? $this->outcome->verdict : Verdict::ofCredit($this->handCredit);
    }

    /**
     * @param list<self> $answers
     *
     * @return array<string, array<int, Outcome>> what the machine made of them, by entry and try
     */
    public static function outcomes(array $answers): array
    {
        $outcomes = [];
        foreach ($answers as $answer) {
            $outcomes[$answer->entry][$answer->try] = $answer->outcome;
        }

        return $outcomes;
    }

    /**
     * @param list<self> $answers
     *
     * @return array<string, array<int, BigRational|null>> what counts towards marks, after hints, by entry and try
     */
    public static function credits(array $answers, PublishedPaper $edition): array
    {
        $credits = [];
        foreach ($answers as $answer) {
            $credits[$answer->entry][$answer->try] = $edition->afterHints($answer->entry, $answer->credit(), $answer->hintsOpened);
        }

        return $credits;
    }
}
