<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Paper;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;
use ChalkLadder\Core\Item\Texts;

/**
 * One way on from a section, taken where its condition holds. The condition is of the formula language, over `share` (0…1 of the
 * section's points) and `q1`, `q2` … (the credit of its questions in written order). An exit that leads back says how often a student
 * may go that way in one sitting; after that it is as if it were not there.
 */
final readonly class RouteExit
{
    public const MOST_ROUNDS = 5;
    /** characters of a condition */
    public const LONGEST = 1000;

    /** The share that its condition is about, where that is all it says: share < 1/2. */
    public ?BigRational $cut;

    /**
     * @param string   $to     where it leads: a section id or {@see Route::END}
     * @param int|null $rounds how often one student may take it, 1 to {@see MOST_ROUNDS}; null: without bound
     * @param string   $fault  why the condition cannot be read, in a sentence; such an exit is kept as it was typed, and never taken
     */
    private function __construct(
        public string $when,
        public string $to,
        public ?int $rounds,
        private ?Tree $condition,
        public string $fault = '',
    ) {
        $this->cut = preg_match('#^\s*share\s*<\s*(\d{1,6}(?:\.\d{1,6}|/[1-9]\d{0,5})?)\s*$#D', $when, $m) === 1
            ? BigRational::of($m[1])->simplified()
            : null;
    }

    public static function where(string $when, string $to, ?int $rounds = null): self
    {
        try {
            return new self($when, $to, $rounds, Parser::read($when));
        } catch (FormulaError $e) {
            return new self($when, $to, $rounds, null, $e->sentence());
        }
    }

    public static function below(BigRational $share, string $to): self
    {
        return self::where('share < '.$share->simplified(), $to);
    }

    public static function read(Node $node): self
    {
        $exit = self::where(
            $node->text('when', self::LONGEST),
            $node->text('to', 36),
            $node->intOrNull('rounds', 1, self::MOST_ROUNDS),
        );
        $node->rejectUnknown();

        return $exit;
    }

    /**
     * A condition that cannot be worked out does not hold.
     *
     * @param array<string, BigRational> $names share, q1, q2 …
     */
    public function holds(array $names): bool
    {
        // By far the most of them, of which a rehearsal asks tens of thousands.
        if ($this->cut !== null && isset($names['share'])) {
            return $names['share']->isLessThan($this->cut);
        }
        try {
            return $this->condition !== null && Evaluator::holds($this->condition, $names, new Texts());
        } catch (FormulaError) {
            return false;
        }
    }

    /** @return list<string> what its condition asks for */
    public function names(): array
    {
        return $this->condition?->names() ?? [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['when' => $this->when, 'to' => $this->to] + ($this->rounds === null ? [] : ['rounds' => $this->rounds]);
    }
}
