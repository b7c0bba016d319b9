<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;

/**
 * A variable of a question: a range with a step, a choice of values, or derived from those before it; or a table, of which
 * each draw takes a row, and whose columns are the names.
 */
final readonly class Variable
{
    public const LONGEST_NAME = 20;
    public const NAMING = 'A variable needs a name of its own: small letters and digits, a letter first.';
    private const MOST_VALUES = 2000;

    /** @param list<BigRational> $values the domain; empty where it is derived or a table */
    private function __construct(
        public string $name,
        public array $values,
        public ?Tree $is = null,
        private string $formula = '',
        public ?ValueTable $table = null,
    ) {
    }

    /** @param list<string> $before the names declared above it */
    public static function read(Node $node, array $before): self
    {
        $name = $node->text('name', self::LONGEST_NAME);
        if (!self::mayBeCalled($name, $before)) {
            $node->fault('name', self::NAMING);
        }
        $formula = $node->text('is', 500, '');
        $variable = match (true) {
            $formula !== '' => new self($name, [], self::derived($node, $formula, $before), $formula),
            $node->has('rows') => new self($name, [], table: ValueTable::read($node, [...$before, $name])),
            default => new self($name, self::domain($node)),
        };
        $node->rejectUnknown();

        return $variable;
    }

    /** @param list<string> $taken */
    public static function mayBeCalled(string $name, array $taken): bool
    {
        return preg_match('/^[a-z][a-z0-9]{0,19}$/D', $name) === 1 && !in_array($name, [...$taken, 'pi', 'text', 'answer', 'table'], true);
    }

    public static function isNumber(string $text): bool
    {
        return preg_match('#^-?\d{1,12}(?:\.\d{1,12}|/[1-9]\d{0,11})?$#D', $text) === 1;
    }

    /** @return list<string> what it is called in formulas */
    public function names(): array
    {
        return $this->table->columns ?? [$this->name];
    }

    /** How many values there are to draw from; 0 where it is derived. */
    public function size(): int
    {
        return $this->table === null ? count($this->values) : count($this->table->rows);
    }

    /** @return array<string, BigRational|string> by name, at a place of its domain */
    public function at(int $place): array
    {
        return $this->table === null
            ? [$this->name => $this->values[$place]]
            : array_combine($this->table->columns, $this->table->rows[$place]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['name' => $this->name] + match (true) {
            $this->formula !== '' => ['is' => $this->formula],
            $this->table !== null => $this->table->toArray(),
            default => ['choices' => array_map(static fn (BigRational $v): string => (string) $v, $this->values)],
        };
    }

    /** @return list<BigRational> */
    private static function domain(Node $node): array
    {
        if ($node->has('choices')) {
            $values = [];
            foreach ($node->texts('choices', self::MOST_VALUES, 30) as $i => $text) {
                if (self::isNumber($text)) {
                    $values[] = BigRational::of($text)->simplified();
                } else {
                    $node->fault('choices.'.$i, 'This must be a number such as 2, 0.5 or 1/3.');
                }
            }
            if ($values === []) {
                $node->fault('choices', 'There is nothing to choose from.');
            }

            return $values;
        }
        $from = $node->rational('from', '-1000000', '1000000');
        $to = $node->rational('to', '-1000000', '1000000');
        $step = $node->rational('step', '1/1000000', '1000000', '1');
        $count = $to->minus($from)->dividedBy($step)->simplified();
        if ($to->isLessThan($from) || $count->isGreaterThan(self::MOST_VALUES - 1)) {
            $node->fault('to', sprintf('A range rises, in at most %d steps.', self::MOST_VALUES));

            return [$from];
        }
        $values = [];
        for ($value = $from; $value->isLessThanOrEqualTo($to); $value = $value->plus($step)->simplified()) {
            $values[] = $value;
        }

        return $values;
    }

    /** @param list<string> $before */
    private static function derived(Node $node, string $formula, array $before): Tree
    {
        try {
            return Parser::read($formula, names: $before);
        } catch (FormulaError $e) {
            $node->fault('is', $e->sentence());

            return Tree::number(0);
        }
    }
}
