<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Document\Node;

/** A handout's settings, as far as a sitting obeys them. */
final readonly class Conditions
{
    public function __construct(
        public int $attempts = 1,
        public AttemptRule $counts = AttemptRule::Best,
        public bool $shuffleQuestions = false,
        public bool $shuffleOptions = false,
        public FeedbackPlan $feedback = FeedbackPlan::OnReturn,
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
        );
        $node->rejectUnknown();
        $node->finish();

        return $conditions;
    }

    /** @return array{attempts: int, counts: string, shuffleQuestions: bool, shuffleOptions: bool, feedback: string} */
    public function toArray(): array
    {
        return [
            'attempts' => $this->attempts,
            'counts' => $this->counts->value,
            'shuffleQuestions' => $this->shuffleQuestions,
            'shuffleOptions' => $this->shuffleOptions,
            'feedback' => $this->feedback->value,
        ];
    }
}
