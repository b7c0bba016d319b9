<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Document\Node;

/** A handout's settings, as far as a sitting obeys them. */
final readonly class Conditions
{
    /** The longest time from beginning to end that can be set. */
    public const MOST_MINUTES = 600;

    /** @param int|null $minutes from when a student begins; null where only the handout's closing ends it */
    public function __construct(
        public int $attempts = 1,
        public AttemptRule $counts = AttemptRule::Best,
        public bool $shuffleQuestions = false,
        public bool $shuffleOptions = false,
        public FeedbackPlan $feedback = FeedbackPlan::OnReturn,
        public ?int $minutes = null,
    ) {
    }

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function fromArray(array $json): self
    {
        $node = new Node($json, 'conditions');
        $conditions = new self(
            $node->int('attempts', 1, 20, 1),
            AttemptRule::from($node->oneOf('counts', array_column(AttemptRule::cases(), 'value'), 'best')),
            $node->bool('shuffleQuestions', false),
            $node->bool('shuffleOptions', false),
            FeedbackPlan::from($node->oneOf('feedback', ['on return', 'nothing', 'at once', 'after hand-in'], 'on return')),
            $node->has('minutes') ? $node->int('minutes', 1, self::MOST_MINUTES) : null,
        );
        $node->rejectUnknown();
        $node->finish();

        return $conditions;
    }

    /** Seconds that a student has, whole ones; null where no time is set. */
    public function secondsFor(Support $support): ?int
    {
        return $this->minutes === null ? null : intdiv($this->minutes * 60 * (100 + $support->extraTime), 100);
    }

    /** @return array{attempts: int, counts: string, shuffleQuestions: bool, shuffleOptions: bool, feedback: string, minutes: int|null} */
    public function toArray(): array
    {
        return [
            'attempts' => $this->attempts,
            'counts' => $this->counts->value,
            'shuffleQuestions' => $this->shuffleQuestions,
            'shuffleOptions' => $this->shuffleOptions,
            'feedback' => $this->feedback->value,
            'minutes' => $this->minutes,
        ];
    }
}
