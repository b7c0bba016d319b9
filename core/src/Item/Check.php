<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;

/**
 * One line that a teacher adds to an answer rule: a condition in the formula language, and what a response for which it
 * holds is worth. The words to the student may show values: `You wrote {answer}; the range is {h - l} m.`.
 */
final readonly class Check
{
    private const LONGEST = 1000;

    public function __construct(public string $when, public Line $line, private Tree $condition)
    {
    }

    public static function read(Node $node): self
    {
        $when = $node->text('when', self::LONGEST);
        try {
            $condition = Parser::read($when);
        } catch (FormulaError $e) {
            $node->fault('when', $e->sentence());
            $condition = Tree::name('false');
        }
        $check = new self($when, Line::read($node, '0'), $condition);
        try {
            Template::read($check->line->feedback);
        } catch (FormulaError $e) {
            $node->fault('feedback', $e->sentence());
        }
        $node->rejectUnknown();

        return $check;
    }

    /** @return list<string> what its condition asks for */
    public function names(): array
    {
        return $this->condition->names();
    }

    /**
     * A condition that cannot be worked out for this response does not hold.
     *
     * @param array<string, mixed> $names
     */
    public function holds(array $names): bool
    {
        try {
            return Evaluator::holds($this->condition, $names, new Texts());
        } catch (FormulaError) {
            return false;
        }
    }

    /**
     * Why the condition cannot be worked out for this response; nothing where it can.
     *
     * @param array<string, mixed> $names
     */
    public function hindrance(array $names): string
    {
        try {
            Evaluator::holds($this->condition, $names, new Texts());

            return '';
        } catch (FormulaError $e) {
            return $e->sentence();
        }
    }

    /** @param array<string, mixed> $names */
    public function words(array $names): string
    {
        return Said::filled($this->line->feedback, $names);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['when' => $this->when] + $this->line->toArray();
    }
}
