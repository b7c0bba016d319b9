<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** A quotient of two polynomials. π counts as a name: being transcendental, it satisfies no polynomial equation. */
final readonly class RationalFunction
{
    private const MOST_STEPS = 60;

    /** @param list<Polynomial> $divisors what has been divided by on the way, none of them constant */
    private function __construct(public Polynomial $over, public Polynomial $under, private array $divisors = [])
    {
    }

    /** Null when the formula is not built of numbers, names, + − × ÷ and whole powers. */
    public static function of(Tree $tree): ?self
    {
        $one = Polynomial::constant(BigRational::one());
        switch ($tree->op) {
            case 'number':
                return new self(Polynomial::constant($tree->exact()), $one);
            case 'name':
                return in_array($tree->text(), ['true', 'false'], true) ? null : new self(Polynomial::name($tree->text()), $one);
            case 'percent':
            case 'neg':
                $inner = self::of($tree->parts[0]);

                return $inner === null ? null : new self(
                    $inner->over->times(Polynomial::constant($tree->op === 'neg' ? BigRational::of(-1) : BigRational::nd(1, 100))),
                    $inner->under,
                    $inner->divisors,
                );
            case '^':
                return self::power($tree);
            case '+':
            case '-':
            case '*':
            case '/':
                $a = self::of($tree->parts[0]);
                $b = $a === null ? null : self::of($tree->parts[1]);

                return $a === null || $b === null ? null : self::combined($tree->op, $a, $b);
            default:
                return null;
        }
    }

    public function equals(self $other): bool
    {
        return $this->over->times($other->under)->equals($other->over->times($this->under));
    }

    /**
     * The same with common factors cancelled: powers of names, everything that was divided by on the way, and, where it has one name
     * alone, the greatest common divisor.
     */
    public function reduced(): self
    {
        [$over, $under] = [$this->over, $this->under];
        if ($over->isZero()) {
            return new self($over, Polynomial::constant(BigRational::one()));
        }
        $factors = [...array_map(Polynomial::name(...), $under->names()), ...$this->divisors, $under];
        $common = $over->commonDivisor($under);
        if ($common !== null) {
            $factors[] = $common;
        }
        $steps = 0;
        foreach ($factors as $factor) {
            while (!$factor->isConstant() && ++$steps <= self::MOST_STEPS) {
                [$a, $b] = [$over->dividedBy($factor), $under->dividedBy($factor)];
                if ($a === null || $b === null) {
                    break;
                }
                [$over, $under] = [$a, $b];
            }
        }

        return new self($over, $under);
    }

    private static function combined(string $op, self $a, self $b): self
    {
        $divisors = [...$a->divisors, ...$b->divisors];

        return match ($op) {
            '+', '-' => new self(
                $a->over->times($b->under)->plus($b->over->times($a->under), $op === '+' ? 1 : -1),
                $a->under->times($b->under),
                $divisors,
            ),
            '*' => new self($a->over->times($b->over), $a->under->times($b->under), $divisors),
            default => $b->over->isZero() ? throw new FormulaError('This divides by zero.') : new self(
                $a->over->times($b->under),
                $a->under->times($b->over),
                $b->over->isConstant() ? $divisors : [...$divisors, $b->over],
            ),
        };
    }

    private static function power(Tree $tree): ?self
    {
        $base = self::of($tree->parts[0]);
        $exponent = self::of($tree->parts[1]);
        if ($base === null || $exponent === null || !$exponent->over->isConstant() || !$exponent->under->isConstant()) {
            return null;
        }
        $n = ($exponent->over->terms['']
            ?? BigRational::zero())->dividedBy($exponent->under->terms['']
            ?? BigRational::one())->simplified();
        if (!$n->getDenominator()->isEqualTo(1) || $n->abs()->isGreaterThan(1000)) {
            return null;
        }
        $whole = $n->getNumerator()->toInt();
        if ($whole < 0 && $base->over->isZero()) {
            throw new FormulaError('This divides by zero.');
        }

        return $whole >= 0 ? new self($base->over->power($whole), $base->under->power($whole), $base->divisors) : new self(
            $base->under->power(-$whole),
            $base->over->power(-$whole),
            $base->over->isConstant() ? $base->divisors : [...$base->divisors, $base->over],
        );
    }
}
