<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Item;

use Brick\Math\BigRational;
use ChalkLadder\Core\Document\Node;
use ChalkLadder\Core\Formula\Arithmetic;
use ChalkLadder\Core\Formula\Budget;
use ChalkLadder\Core\Formula\Effort;
use ChalkLadder\Core\Formula\Evaluator;
use ChalkLadder\Core\Formula\FormulaError;
use ChalkLadder\Core\Formula\Parser;
use ChalkLadder\Core\Formula\Tree;

/**
 * The variables of a question with their constraints. A seed picks values by SHA-256 of seed, name and try, so the same
 * seed gives the same numbers on every machine and with every version of the language.
 */
final readonly class Variables
{
    private const MOST = 20;

    /**
     * @param list<Variable>                          $variables
     * @param list<array{text: string, tree: Tree}>   $constraints
     * @param int                                     $decimals    the most decimals that a value may show
     */
    private function __construct(public array $variables, public array $constraints, public int $decimals)
    {
    }

    public static function read(Node $node): self
    {
        $variables = [];
        foreach ($node->children('variables', self::MOST) as $one) {
            $variables[] = Variable::read($one, self::namesOf($variables));
        }
        $names = self::namesOf($variables);
        $constraints = [];
        foreach ($node->texts('constraints', 30, 500) as $i => $text) {
            try {
                $constraints[] = ['text' => $text, 'tree' => Parser::read($text, names: $names)];
            } catch (FormulaError $e) {
                $node->fault('constraints.'.$i, $e->sentence());
            }
        }

        return new self($variables, $constraints, $node->int('decimals', 0, 12, 2));
    }

    /** @return list<string> */
    public function names(): array
    {
        return self::namesOf($this->variables);
    }

    /** @return list<string> the names that stand for words, not for numbers */
    public function words(): array
    {
        return array_merge(...array_map(static fn (Variable $v): array => $v->table?->words() ?? [], $this->variables));
    }

    /**
     * @param list<Variable> $variables
     *
     * @return list<string>
     */
    private static function namesOf(array $variables): array
    {
        return array_merge(...array_map(static fn (Variable $v): array => $v->names(), $variables));
    }

    /** How many combinations the domains hold, before constraints. */
    public function combinations(): int
    {
        $product = 1;
        foreach ($this->variables as $variable) {
            $product *= max(1, $variable->size());
            if ($product > 1_000_000_000) {
                return 1_000_000_000;
            }
        }

        return $product;
    }

    /**
     * The combination of a number, counted through the domains.
     *
     * @return array<string, BigRational|string>|null null when a constraint does not hold or a derived value cannot be worked out
     */
    public function combination(int $number, ?Effort $effort = null): ?array
    {
        $places = [];
        foreach ($this->variables as $variable) {
            if ($variable->is === null) {
                $places[$variable->name] = $number % $variable->size();
                $number = intdiv($number, $variable->size());
            }
        }

        return $this->at($places, $effort);
    }

    /** @return array<string, BigRational|string>|null as {@see combination()} */
    public function draw(string $seed, int $try, ?Effort $effort = null): ?array
    {
        return $this->at($this->places($seed, $try), $effort);
    }

    /**
     * The draws of a seed in their order, each combination once; they end where none is left that was not drawn, or after so
     * many tries. Those that break a constraint or have no value are null.
     *
     * @return \Generator<int, array<string, BigRational|string>|null>
     */
    public function draws(string $seed, int $tries, Effort $effort): \Generator
    {
        $seen = [];
        $all = $this->combinations();
        for ($try = 0; $try < $tries && count($seen) < $all; ++$try) {
            $places = $this->places($seed, $try);
            $key = implode(' ', $places);
            if (!isset($seen[$key])) {
                $seen[$key] = true;
                yield $try => $this->at($places, $effort);
            }
        }
    }

    /** @return array<string, int> where in its domain each variable that is drawn stands */
    private function places(string $seed, int $try): array
    {
        $places = [];
        foreach ($this->variables as $variable) {
            if ($variable->is === null) {
                $bytes = hash('sha256', $seed."\0".$variable->name."\0".$try, true);
                $number = 0;
                for ($i = 0; $i < 7; ++$i) {
                    $number = $number << 8 | ord($bytes[$i]);
                }
                $places[$variable->name] = $number % $variable->size();
            }
        }

        return $places;
    }

    /**
     * @param array<string, int> $places
     *
     * @return array<string, BigRational|string>|null
     */
    private function at(array $places, ?Effort $effort): ?array
    {
        $values = [];
        $effort?->spend(count($this->variables));
        try {
            foreach ($this->variables as $variable) {
                if ($variable->is === null) {
                    $values = [...$values, ...$variable->at($places[$variable->name])];

                    continue;
                }
                $value = Arithmetic::numeric(Evaluator::value($variable->is, $values, new Texts(), new Budget($effort)), 0);
                $values[$variable->name] = $value instanceof BigRational ? $value : BigRational::of(sprintf('%.9F', $value))->simplified();
            }
            foreach ($this->constraints as $constraint) {
                if (!Evaluator::holds($constraint['tree'], $values, new Texts(), new Budget($effort))) {
                    return null;
                }
            }
        } catch (FormulaError) {
            return null;
        }

        return $values;
    }
}
