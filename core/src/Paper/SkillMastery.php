<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\NumberText;

/**
 * When a skill counts as shown: so many right in a row, so many of the last, a share over at least so many answers, or a chance that
 * it is known (Corbett & Anderson 1995). What a student has at any time says itself in one sentence.
 */
final readonly class SkillMastery
{
    public const STREAK = 'streak';
    public const OF_LAST = 'of last';
    public const SHARE = 'share';
    public const KNOWN = 'known';
    public const KINDS = [self::STREAK, self::OF_LAST, self::SHARE, self::KNOWN];
    private const MOST = 50;

    /**
     * @param value-of<self::KINDS> $kind
     * @param int                   $right   how many right: in a row, or of the last
     * @param int                   $answers of how many last answers; over at least how many
     * @param BigRational           $share   of the marks, or the chance, from which it is shown
     */
    private function __construct(
        public string $kind,
        public int $right,
        public int $answers,
        public BigRational $share,
        private KnowledgeTracing $tracing,
    ) {
    }

    /**
     * From JSON: {"kind": "streak", "right": 3}, {"kind": "of last", "right": 4, "answers": 5}, {"kind": "share", "share": "4/5",
     * "answers": 5} or {"kind": "known", "share": "0.95"} with the chances known, learn, slip and guess where others are meant.
     */
    public static function read(Node $node): self
    {
        $kind = match ($node->oneOf('kind', self::KINDS)) {
            self::OF_LAST => self::OF_LAST, self::SHARE => self::SHARE, self::KNOWN => self::KNOWN, default => self::STREAK,
        };
        $right = $kind === self::STREAK || $kind === self::OF_LAST ? $node->int('right', 1, self::MOST) : 0;
        $answers = $kind === self::OF_LAST || $kind === self::SHARE ? $node->int('answers', 1, self::MOST) : $right;
        if ($answers < $right) {
            $node->fault('right', sprintf('Of the last %d no more than %d can be right.', $answers, $answers));
        }
        $chance = static fn (string $key, float $default): float => $node->rational($key, '0', '1', sprintf('%.2F', $default))->toFloat();
        $usual = new KnowledgeTracing();
        $tracing = $usual;
        if ($kind === self::KNOWN) {
            [$known, $learn] = [$chance('known', $usual->known), $chance('learn', $usual->learn)];
            [$slip, $guess] = [$chance('slip', $usual->slip), $chance('guess', $usual->guess)];
            if ($slip + $guess >= 1.0) {
                $node->fault('guess', 'Slip and guess together must stay below 1, or a right answer would speak against knowing.');
            } else {
                $tracing = new KnowledgeTracing($known, $learn, $slip, $guess);
            }
        }
        $share = $kind === self::SHARE || $kind === self::KNOWN
            ? $node->rational('share', '0', '1', $kind === self::KNOWN ? '0.95' : null)
            : BigRational::one();
        $node->rejectUnknown();

        return new self($kind, $right, $answers, $share, $tracing);
    }

    /** When a skill counts as shown, as a sentence goes on: `with 3 right in a row`. */
    public function asked(): string
    {
        return match ($this->kind) {
            self::STREAK => $this->right === 1 ? 'with a right answer' : sprintf('with %d right in a row', $this->right),
            self::OF_LAST => sprintf('with %d of the last %d right', $this->right, $this->answers),
            self::SHARE => sprintf('with %d %% of the marks over at least %d answers', self::hundredths($this->share), $this->answers),
            default => sprintf('once it is known with a chance of %s', NumberText::write($this->share)),
        };
    }

    /**
     * What a student still needs, in their words: `2 more right in a row`, `shown`.
     *
     * @param list<BigRational> $credits as in {@see isShown()}
     */
    public function wanted(array $credits): string
    {
        $more = $this->more($credits);

        return match (true) {
            $more === null => 'more right answers',
            $more === 0 => 'shown',
            $this->kind === self::STREAK && $more > 1 => sprintf('%d more right in a row', $more),
            default => sprintf('%d more right answer%s', $more, $more === 1 ? '' : 's'),
        };
    }

    /**
     * How many right answers more, with none missed between, would show the skill.
     *
     * @param list<BigRational> $credits as in {@see isShown()}
     *
     * @return int|null null where 50 would not do
     */
    public function more(array $credits): ?int
    {
        for ($more = 0; $more <= self::MOST; ++$more) {
            if ($this->isShown([...$credits, ...array_fill(0, $more, BigRational::one())])) {
                return $more;
            }
        }

        return null;
    }

    /** @param list<BigRational> $credits of the answers on this skill, 0…1, in the order they were given */
    public function isShown(array $credits): bool
    {
        return match ($this->kind) {
            self::STREAK => self::streak($credits) >= $this->right,
            self::OF_LAST => count($credits) >= $this->right
                && self::countRight(array_slice($credits, -$this->answers)) >= $this->right,
            self::SHARE => count($credits) >= $this->answers && self::mean($credits)->isGreaterThanOrEqualTo($this->share),
            default => $this->known($credits) >= $this->share->toFloat(),
        };
    }

    /**
     * Where a student stands, for student and teacher.
     *
     * @param list<BigRational> $credits as in {@see isShown()}
     */
    public function sentence(array $credits): string
    {
        $n = count($credits);
        $answers = static fn (int $count): string => $count === 1 ? '1 answer' : $count.' answers';
        [$has, $asked] = match ($this->kind) {
            self::STREAK => [sprintf('%d right in a row', self::streak($credits)), sprintf('%d in a row', $this->right)],
            self::OF_LAST => [
                sprintf('%d of the last %s right', self::countRight(array_slice($credits, -$this->answers)), $answers(min($n, $this->answers))),
                sprintf('%d of the last %d', $this->right, $this->answers),
            ],
            self::SHARE => [
                $n === 0 ? 'no answer yet' : sprintf('%d %% of the marks over %s', self::hundredths(self::mean($credits)), $answers($n)),
                sprintf('%d %% over at least %s', self::hundredths($this->share), $answers($this->answers)),
            ],
            default => [
                sprintf('known with a chance of %.2f after %s, of which %d right', $this->known($credits), $answers($n), self::countRight($credits)),
                'a chance of '.NumberText::write($this->share),
            ],
        };

        return sprintf('%s: %s; %s is asked for.', $this->isShown($credits) ? 'Shown' : 'Not shown yet', $has, $asked);
    }

    /** @return array<string, mixed> as {@see read()} takes it */
    public function toArray(): array
    {
        return ['kind' => $this->kind] + match ($this->kind) {
            self::STREAK => ['right' => $this->right],
            self::OF_LAST => ['right' => $this->right, 'answers' => $this->answers],
            self::SHARE => ['share' => (string) $this->share, 'answers' => $this->answers],
            default => ['share' => (string) $this->share] + $this->tracing->toArray(),
        };
    }

    /** Asked for every answer of every made-up student: without the arithmetic of a comparison. */
    private static function isRight(BigRational $credit): bool
    {
        return (string) $credit->getNumerator() === (string) $credit->getDenominator();
    }

    /** @param list<BigRational> $credits */
    private static function streak(array $credits): int
    {
        $streak = 0;
        foreach (array_reverse($credits) as $credit) {
            if (!self::isRight($credit)) {
                break;
            }
            ++$streak;
        }

        return $streak;
    }

    /** @param list<BigRational> $credits */
    private static function countRight(array $credits): int
    {
        return count(array_filter($credits, self::isRight(...)));
    }

    /** @param non-empty-list<BigRational>|list<BigRational> $credits */
    private static function mean(array $credits): BigRational
    {
        $sum = array_reduce($credits, static fn (BigRational $s, BigRational $c): BigRational => $s->plus($c), BigRational::zero());

        return $credits === [] ? $sum : $sum->dividedBy(count($credits));
    }

    /** Rounded down, so that nobody reads 80 % who has not reached it. */
    private static function hundredths(BigRational $share): int
    {
        return (int) floor($share->multipliedBy(100)->toFloat() + 1e-9);
    }

    /** @param list<BigRational> $credits */
    private function known(array $credits): float
    {
        $trace = $this->tracing->trace(array_map(self::isRight(...), $credits));

        return $trace === [] ? $this->tracing->known : $trace[count($trace) - 1];
    }
}
