<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * Works a formula out. Values are exact rationals, floats (once a function has forced one), quantities, texts, truth and
 * lists. Every evaluation is bounded and ends in a value or a {@see FormulaError}.
 */
final readonly class Evaluator
{
    private Arithmetic $arithmetic;
    private Functions $functions;

    private function __construct(private Budget $budget, TextFunctions $texts)
    {
        $this->arithmetic = new Arithmetic($budget);
        $this->functions = new Functions($this->arithmetic, $budget, $texts);
    }

    /**
     * @param array<string, mixed> $names values by name; a group (a table, say) is an array by member
     *
     * @throws FormulaError
     */
    public static function value(Tree $tree, array $names, TextFunctions $texts, Budget $budget = new Budget()): mixed
    {
        return (new self($budget, $texts))->of($tree, $names);
    }

    /**
     * Whether a condition holds.
     *
     * @param array<string, mixed> $names
     *
     * @throws FormulaError
     */
    public static function holds(Tree $tree, array $names, TextFunctions $texts, Budget $budget = new Budget()): bool
    {
        $value = self::value($tree, $names, $texts, $budget);

        return is_bool($value) ? $value : throw new FormulaError(
            sprintf('A condition was expected, not %s.', Arithmetic::kind($value)),
            $tree->at,
        );
    }

    /** A value in words, for feedback and "read as". */
    public static function words(mixed $value): string
    {
        return match (true) {
            $value instanceof BigRational => NumberText::write($value),
            is_float($value) => rtrim(rtrim(sprintf('%.6F', $value), '0'), '.'),
            $value instanceof Quantity => self::words($value->number).' '.$value->unit->symbol,
            is_bool($value) => $value ? 'true' : 'false',
            is_string($value) => $value,
            is_array($value) => implode(', ', array_map(self::words(...), $value)),
            default => '',
        };
    }

    /** @param array<string, mixed> $names */
    private function of(Tree $tree, array $names): mixed
    {
        $this->budget->spend($tree->at);
        $part = fn (int $i): mixed => $this->of($tree->parts[$i], $names);

        return match ($tree->op) {
            'number' => $tree->exact(),
            'text' => $tree->text(),
            'name' => $this->named($tree, $names),
            'quantity' => new Quantity(
                $tree->parts[0]->exact(),
                Unit::named($tree->text()) ?? throw new FormulaError('This unit is not known here.', $tree->at),
            ),
            '+', '-' => $this->arithmetic->add($part(0), $part(1), $tree->op === '+' ? 1 : -1, $tree->at),
            '*' => $this->arithmetic->multiply($part(0), $part(1), $tree->at),
            '/' => $this->arithmetic->divide($part(0), $part(1), $tree->at),
            '^' => $this->arithmetic->power($part(0), $part(1), $tree->at),
            'neg' => $this->arithmetic->multiply(BigRational::of(-1), $part(0), $tree->at),
            'percent' => $this->arithmetic->divide($part(0), BigRational::of(100), $tree->at),
            'and' => $this->truth($part(0), $tree) && $this->truth($part(1), $tree),
            'or' => $this->truth($part(0), $tree) || $this->truth($part(1), $tree),
            'not' => !$this->truth($part(0), $tree),
            'if' => $this->truth($part(0), $tree) ? $part(1) : $part(2),
            'chain' => $this->chain($tree, $names),
            'list' => $this->list($tree, $names),
            'call' => $this->functions->call(
                $tree->text(),
                array_map(fn (Tree $t): mixed => $this->of($t, $names), $tree->parts),
                $tree->at,
            ),
            'member' => $this->member($part(0), $tree),
            default => throw new \LogicException('Unknown node '.$tree->op),
        };
    }

    private function truth(mixed $value, Tree $tree): bool
    {
        return is_bool($value) ? $value : throw new FormulaError(
            sprintf('A condition was expected, not %s.', Arithmetic::kind($value)),
            $tree->at,
        );
    }

    /** @param array<string, mixed> $names */
    private function named(Tree $tree, array $names): mixed
    {
        $name = $tree->text();
        if (array_key_exists($name, $names)) {
            return $names[$name];
        }

        return match ($name) {
            'true' => true,
            'false' => false,
            'pi' => M_PI,
            default => throw new FormulaError(sprintf('“%s” has no value here.', $name), $tree->at),
        };
    }

    /**
     * @param array<string, mixed> $names
     *
     * @return list<mixed>
     */
    private function list(Tree $tree, array $names): array
    {
        $this->budget->elements(count($tree->parts), $tree->at);

        return array_map(fn (Tree $t): mixed => $this->of($t, $names), $tree->parts);
    }

    private function member(mixed $owner, Tree $tree): mixed
    {
        if (!is_array($owner) || !array_key_exists($tree->text(), $owner)) {
            throw new FormulaError(sprintf('There is no “%s” here.', $tree->text()), $tree->at);
        }

        return $owner[$tree->text()];
    }

    /** @param array<string, mixed> $names */
    private function chain(Tree $tree, array $names): bool
    {
        $signs = explode(' ', $tree->text());
        $left = $this->of($tree->parts[0], $names);
        foreach ($signs as $i => $sign) {
            $right = $this->of($tree->parts[$i + 1], $names);
            if (!$this->compared($left, $sign, $right, $tree->at)) {
                return false;
            }
            $left = $right;
        }

        return true;
    }

    private function compared(mixed $a, string $sign, mixed $b, int $at): bool
    {
        if (is_string($a) || is_string($b) || is_bool($a) || is_bool($b) || is_array($a) || is_array($b)) {
            if ($sign !== '=' && $sign !== '<>') {
                throw new FormulaError(
                    sprintf(
                        '%s cannot be put in order.',
                        ucfirst(Arithmetic::kind(is_string($a) || is_bool($a) || is_array($a) ? $a : $b)),
                    ),
                    $at,
                );
            }

            return $this->same($a, $b, $at) === ($sign === '=');
        }
        $order = $this->arithmetic->compare($a, $b, $at);

        return match ($sign) {
            '=' => $order === 0,
            '<>' => $order !== 0,
            '<' => $order < 0,
            '>' => $order > 0,
            '<=' => $order <= 0,
            default => $order >= 0,
        };
    }

    private function same(mixed $a, mixed $b, int $at): bool
    {
        if (is_array($a) && is_array($b)) {
            $this->budget->elements(count($a), $at);
            if (count($a) !== count($b)) {
                return false;
            }
            foreach (array_map(null, array_values($a), array_values($b)) as [$x, $y]) {
                if (!$this->same($x, $y, $at)) {
                    return false;
                }
            }

            return true;
        }
        if (is_string($a) || is_string($b) || is_bool($a) || is_bool($b) || is_array($a) || is_array($b)) {
            return $a === $b;
        }

        return $this->arithmetic->compare($a, $b, $at) === 0;
    }
}
