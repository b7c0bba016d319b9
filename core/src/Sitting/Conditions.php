<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Document\Node;

/** A handout's settings, as far as a sitting obeys them. */
final readonly class Conditions
{
    /** The longest time from beginning to end that can be set. */
    public const MOST_MINUTES = 600;
    /** The shortest and the longest time for one question, in seconds. */
    public const LEAST_EACH = 5;
    public const MOST_EACH = 3600;

    public FeedbackPlan $feedback;

    /**
     * @param int|null $minutes   from when a student begins; null where only the handout's closing ends it
     * @param bool     $wholePage the questions of a part stand together, as on a worksheet, instead of one at a time
     * @param bool     $inOrder   one after the other: an answer is settled when the student goes on, and there is no way back
     * @param bool     $pasting   what was copied elsewhere may be put into an answer
     * @param bool     $needsWorking an answer to a question that asks for working is not handed in, or left for good, without it
     * @param bool     $fullScreen it is sat in full screen, and leaving that is told to the teacher
     * @param int|null $secondsEach for one question, from when a student comes to it; then it is left as it is. Goes with inOrder
     * @param list<Tool> $tools   that are offered beside the questions
     * @param bool     $inRoom    it belongs to a lesson: whoever was not there has missed no work
     */
    public function __construct(
        public int $attempts = 1,
        public AttemptRule $counts = AttemptRule::Best,
        public bool $shuffleQuestions = false,
        public bool $shuffleOptions = false,
        ?FeedbackPlan $feedback = null,
        public ?int $minutes = null,
        public bool $wholePage = false,
        public bool $inOrder = false,
        public bool $pasting = true,
        public bool $inRoom = false,
        public bool $needsWorking = false,
        public bool $fullScreen = false,
        public ?int $secondsEach = null,
        public array $tools = [],
    ) {
        $this->feedback = $feedback ?? FeedbackPlan::onReturn();
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
            FeedbackPlan::read($node->childOrEmpty('feedback')),
            $node->has('minutes') ? $node->int('minutes', 1, self::MOST_MINUTES) : null,
            $node->bool('wholePage', false),
            $node->bool('inOrder', false),
            $node->bool('pasting', true),
            $node->bool('inRoom', false),
            $node->bool('needsWorking', false),
            $node->bool('fullScreen', false),
            $node->has('secondsEach') ? $node->int('secondsEach', self::LEAST_EACH, self::MOST_EACH) : null,
            self::tools($node),
        );
        if ($conditions->wholePage && $conditions->inOrder) {
            $node->fault('inOrder', 'Questions that stand together on a page have no order that could be kept to.');
        }
        if ($conditions->secondsEach !== null && !$conditions->inOrder) {
            $node->fault('secondsEach', 'Time for each question goes with questions one after the other.');
        }
        $node->rejectUnknown();
        $node->finish();

        return $conditions;
    }

    /** @return list<Tool> each once, always in the same order */
    private static function tools(Node $node): array
    {
        $named = $node->texts('tools', count(Tool::cases()), 40);
        foreach ($named as $i => $name) {
            if (Tool::tryFrom($name) === null) {
                $node->fault("tools.$i", 'There is no such tool.');
            }
        }

        return array_values(array_filter(Tool::cases(), static fn (Tool $t): bool => in_array($t->value, $named, true)));
    }

    /** Seconds that a student has, whole ones; null where no time is set. */
    public function secondsFor(Support $support): ?int
    {
        return self::longer($this->minutes === null ? null : $this->minutes * 60, $support);
    }

    /** Seconds that a student has for each question, whole ones; null where no time is set. */
    public function secondsEachFor(Support $support): ?int
    {
        return self::longer($this->secondsEach, $support);
    }

    /** Some time of a student's own runs while they work. */
    public function isTimed(): bool
    {
        return $this->minutes !== null || $this->secondsEach !== null;
    }

    private static function longer(?int $seconds, Support $support): ?int
    {
        return $seconds === null ? null : intdiv($seconds * (100 + $support->extraTime), 100);
    }

    /** Whether answers are settled one by one: something is told of each at once, or they are given one after the other. */
    public function settles(): bool
    {
        return $this->inOrder || $this->feedback->settles();
    }

    /** @return array<string, int|string|bool|array<string, string>|list<string>|null> */
    public function toArray(): array
    {
        return [
            'attempts' => $this->attempts,
            'counts' => $this->counts->value,
            'shuffleQuestions' => $this->shuffleQuestions,
            'shuffleOptions' => $this->shuffleOptions,
            'feedback' => $this->feedback->toArray(),
            'minutes' => $this->minutes,
            'wholePage' => $this->wholePage,
            'inOrder' => $this->inOrder,
            'pasting' => $this->pasting,
            'inRoom' => $this->inRoom,
            'needsWorking' => $this->needsWorking,
            'fullScreen' => $this->fullScreen,
            'secondsEach' => $this->secondsEach,
            'tools' => array_column($this->tools, 'value'),
        ];
    }
}
