<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Sitting;

use ChalkLadder\Core\Document\Node;

/** What a student is told, each thing from one moment on. What was told stays told. */
final readonly class FeedbackPlan
{
    /** @param array<string, ToldFrom> $from by {@see Told} */
    private function __construct(private array $from)
    {
    }

    /** All when the teacher gives the work back, but for how the class did. */
    public static function onReturn(): self
    {
        return self::of();
    }

    public static function of(
        ToldFrom $verdict = ToldFrom::Returned,
        ToldFrom $feedback = ToldFrom::Returned,
        ToldFrom $marks = ToldFrom::Returned,
        ToldFrom $key = ToldFrom::Returned,
        ToldFrom $workedAnswer = ToldFrom::Returned,
        ToldFrom $classPicture = ToldFrom::Never,
    ): self {
        return new self([
            Told::Verdict->value => $verdict,
            Told::Feedback->value => $feedback,
            Told::Marks->value => $marks,
            Told::Key->value => $key,
            Told::WorkedAnswer->value => $workedAnswer,
            Told::ClassPicture->value => in_array($classPicture, Told::ClassPicture->moments(), true) ? $classPicture : ToldFrom::Never,
        ]);
    }

    /** Reads a plan; what is not said in it is told on return. Notes faults at the node. */
    public static function read(Node $node): self
    {
        $plan = self::onReturn();
        $from = [];
        foreach (Told::cases() as $thing) {
            $moments = array_column($thing->moments(), 'value');
            $from[$thing->value] = ToldFrom::from($node->oneOf($thing->value, $moments, $plan->from($thing)->value));
        }
        $node->rejectUnknown();

        return new self($from);
    }

    /**
     * @param array<array-key, mixed> $json
     *
     * @throws \ChalkLadder\Core\Document\DocumentInvalid
     */
    public static function fromArray(array $json, string $path = 'feedback'): self
    {
        $node = new Node($json, $path);
        $plan = self::read($node);
        $node->finish();

        return $plan;
    }

    public function from(Told $thing): ToldFrom
    {
        return $this->from[$thing->value];
    }

    /** Whether a thing is told to work that has reached a moment; while it is open, of settled answers alone. */
    public function tells(Told $thing, ToldFrom $reached): bool
    {
        return $this->from($thing)->isBy($reached);
    }

    /** Whether answers are settled one by one, so that something can be told of each at once. */
    public function settles(): bool
    {
        return in_array(ToldFrom::AtOnce, $this->from, true);
    }

    /** For the student: what is still to come and when, or '' where nothing is. */
    public function comes(ToldFrom $reached): string
    {
        $sentences = [];
        foreach ([[ToldFrom::Closed, 'when everybody is done'], [ToldFrom::Returned, 'when your teacher gives the work back']] as [$moment, $when]) {
            $things = self::things($this->from, static fn (ToldFrom $from): bool => $from === $moment);
            if ($things !== [] && !$moment->isBy($reached)) {
                $sentences[] = ucfirst(self::list($things)).' '.self::does($things, 'comes', 'come')." $when.";
            }
        }

        return implode(' ', $sentences);
    }

    /**
     * What a teacher should know before a paper is given under this plan: what tells another thing early, and what reaches those who
     * still sit.
     *
     * @param bool $returns  missed questions come back in the paper
     * @param int  $attempts that each student has
     * @param bool $closes   a closing time is set
     *
     * @return list<string>
     */
    public function concerns(bool $returns = false, int $attempts = 1, bool $closes = true): array
    {
        $said = [];
        $verdict = $this->from(Told::Verdict);
        $early = array_diff_key($this->from, [Told::Verdict->value => 1, Told::ClassPicture->value => 1]);
        $early = self::things($early, static fn (ToldFrom $from): bool => $from->isBefore($verdict));
        if ($early !== []) {
            $said[] = sprintf(
                '%s %s whether an answer is right, earlier than “right or wrong” does.',
                ucfirst(self::list($early)),
                self::does($early, 'says', 'say'),
            );
        }
        $keys = array_intersect_key($this->from, [Told::Key->value => 1, Told::WorkedAnswer->value => 1]);
        $keys = self::things($keys, static fn (ToldFrom $from): bool => $from->isBefore(ToldFrom::Closed));
        if ($keys !== []) {
            $said[] = sprintf(
                '%s %s out while others still sit: whoever is told can pass it on.',
                ucfirst(self::list($keys)),
                self::does($keys, 'is', 'are'),
            );
            if ($attempts > 1) {
                $said[] = 'With more than one attempt, the next begins with what was told of the one before.';
            }
        }
        if ($returns && $this->from(Told::Key) === ToldFrom::AtOnce) {
            $said[] = 'Missed questions come back here, after their key was told: the second try shows what was read, not what is known.';
        } elseif ($returns && $verdict !== ToldFrom::AtOnce) {
            $said[] = 'Missed questions come back here: whatever is told, meeting a question again says that the first answer was not right.';
        }
        $waits = self::things($this->from, static fn (ToldFrom $from): bool => $from === ToldFrom::Closed);
        if ($waits !== [] && !$closes) {
            $said[] = sprintf(
                'No closing time is set: %s %s until you close the handout yourself.',
                self::list($waits),
                self::does($waits, 'waits', 'wait'),
            );
        }

        return $said;
    }

    /** @return array{verdict: string, feedback: string, marks: string, key: string, workedAnswer: string, classPicture: string} */
    public function toArray(): array
    {
        return [
            'verdict' => $this->from(Told::Verdict)->value,
            'feedback' => $this->from(Told::Feedback)->value,
            'marks' => $this->from(Told::Marks)->value,
            'key' => $this->from(Told::Key)->value,
            'workedAnswer' => $this->from(Told::WorkedAnswer)->value,
            'classPicture' => $this->from(Told::ClassPicture)->value,
        ];
    }

    /**
     * @param array<string, ToldFrom>  $from
     * @param \Closure(ToldFrom): bool $which
     *
     * @return list<Told>
     */
    private static function things(array $from, \Closure $which): array
    {
        return array_map(Told::from(...), array_keys(array_filter($from, $which)));
    }

    /** @param non-empty-list<Told> $things */
    private static function list(array $things): string
    {
        $words = array_map(static fn (Told $t): string => $t->inWords(), $things);
        $last = array_pop($words);

        return $words === [] ? $last : implode(', ', $words)." and $last";
    }

    /** @param non-empty-list<Told> $things */
    private static function does(array $things, string $one, string $many): string
    {
        return count($things) > 1 || $things === [Told::Marks] ? $many : $one;
    }
}
