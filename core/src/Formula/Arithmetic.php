<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/**
 * The operators, on exact numbers, floats and quantities. Numbers stay exact rationals until a function (a sine, a root
 * that does not come out) has made a float of one.
 */
final readonly class Arithmetic
{
    private const LARGEST_POWER = 400;

    public function __construct(private Budget $budget)
    {
    }

    public function add(mixed $a, mixed $b, int $sign, int $at): BigRational|float|Quantity
    {
        if ($a instanceof Quantity || $b instanceof Quantity) {
            if (!$a instanceof Quantity || !$b instanceof Quantity) {
                throw new FormulaError('A number without a unit cannot be added to one with a unit.', $at);
            }
            if (!$a->unit->zero->isZero() || !$b->unit->zero->isZero()) {
                throw new FormulaError('Temperatures with a zero point of their own cannot be added; use K.', $at);
            }
            $other = $b->in($a->unit) ?? throw new FormulaError(
                sprintf('%s and %s do not measure the same thing.', $a->unit->symbol, $b->unit->symbol),
                $at,
            );
            $sum = $this->add($a->number, $other->number, $sign, $at);

            return $sum instanceof Quantity ? $sum : new Quantity($sum, $a->unit);
        }
        [$x, $y] = [self::numeric($a, $at), self::numeric($b, $at)];
        if ($x instanceof BigRational && $y instanceof BigRational) {
            return $this->budget->number($sign > 0 ? $x->plus($y) : $x->minus($y), $at);
        }

        return $this->budget->float(self::float($x) + $sign * self::float($y), $at);
    }

    public function multiply(mixed $a, mixed $b, int $at): BigRational|float|Quantity
    {
        if ($a instanceof Quantity || $b instanceof Quantity) {
            return $this->combine($a, $b, 1, $at);
        }
        [$x, $y] = [self::numeric($a, $at), self::numeric($b, $at)];
        if ($x instanceof BigRational && $y instanceof BigRational) {
            return $this->budget->number($x->multipliedBy($y), $at);
        }

        return $this->budget->float(self::float($x) * self::float($y), $at);
    }

    public function divide(mixed $a, mixed $b, int $at): BigRational|float|Quantity
    {
        if ($a instanceof Quantity || $b instanceof Quantity) {
            return $this->combine($a, $b, -1, $at);
        }
        [$x, $y] = [self::numeric($a, $at), self::numeric($b, $at)];
        if (self::isZero($y)) {
            throw new FormulaError('This divides by zero.', $at);
        }
        if ($x instanceof BigRational && $y instanceof BigRational) {
            return $this->budget->number($x->dividedBy($y), $at);
        }

        return $this->budget->float(self::float($x) / self::float($y), $at);
    }

    public function power(mixed $a, mixed $b, int $at): BigRational|float|Quantity
    {
        if ($a instanceof Quantity) {
            $n = self::numeric($b, $at);
            if (!$n instanceof BigRational || !$n->getDenominator()->isEqualTo(1) || $n->abs()->isGreaterThan(4) || $n->isZero()) {
                throw new FormulaError('A quantity can be raised to a small whole power only.', $at);
            }
            $result = $a;
            for ($i = 1; $n->abs()->isGreaterThan($i); ++$i) {
                $result = $this->multiply($result, $a, $at);
            }

            return $n->isNegative() ? $this->divide(BigRational::one(), $result, $at) : $result;
        }
        [$x, $y] = [self::numeric($a, $at), self::numeric($b, $at)];
        if ($x instanceof BigRational && $y instanceof BigRational && $y->getDenominator()->isEqualTo(1)) {
            if ($y->abs()->isGreaterThan(self::LARGEST_POWER)) {
                throw new FormulaError(sprintf('A power beyond ±%d.', self::LARGEST_POWER), $at);
            }
            $n = $y->getNumerator()->toInt();
            if ($n < 0 && $x->isZero()) {
                throw new FormulaError('This divides by zero.', $at);
            }
            // Before the work is done: how many digits would it have?
            $digits = strlen((string) $x->getNumerator()) + strlen((string) $x->getDenominator());
            if (($digits - 1) * abs($n) > 500) {
                throw new FormulaError('This power has too many digits.', $at);
            }

            return $this->budget->number($n < 0 ? $x->reciprocal()->power(-$n) : $x->power($n), $at);
        }
        if ($x instanceof BigRational && $y instanceof BigRational && $y->isEqualTo('1/2')) {
            return $this->root($x, $at);
        }
        $base = self::float($x);
        if ($base < 0.0 || ($base === 0.0 && self::float($y) <= 0.0)) {
            throw new FormulaError('This power has no value.', $at);
        }

        return $this->budget->float($base ** self::float($y), $at);
    }

    /** Exact where the root of numerator and denominator comes out. */
    public function root(mixed $a, int $at): BigRational|float
    {
        $x = self::numeric($a, $at);
        if ($x instanceof BigRational ? $x->isNegative() : $x < 0.0) {
            throw new FormulaError('A negative number has no square root here.', $at);
        }
        if ($x instanceof BigRational) {
            $x = $this->budget->number($x, $at);
            [$over, $under] = [$x->getNumerator()->sqrt(), $x->getDenominator()->sqrt()];
            if ($over->multipliedBy($over)->isEqualTo($x->getNumerator())
                && $under->multipliedBy($under)->isEqualTo($x->getDenominator())) {
                return BigRational::nd($over, $under);
            }
        }

        return sqrt(self::float($x));
    }

    /** −1, 0 or 1. Floats within a few last places of each other count as equal. */
    public function compare(mixed $a, mixed $b, int $at): int
    {
        if ($a instanceof Quantity && $b instanceof Quantity) {
            $b = $b->in($a->unit)->number ?? throw new FormulaError(
                sprintf('%s and %s cannot be compared.', $a->unit->symbol, $b->unit->symbol),
                $at,
            );
            $a = $a->number;
        }
        if ($a instanceof Quantity || $b instanceof Quantity) {
            throw new FormulaError('A number without a unit cannot be compared with one with a unit.', $at);
        }
        [$x, $y] = [self::numeric($a, $at), self::numeric($b, $at)];
        if ($x instanceof BigRational && $y instanceof BigRational) {
            return $x->compareTo($y);
        }
        [$p, $q] = [self::float($x), self::float($y)];

        return abs($p - $q) <= 1e-12 * max(1.0, abs($p), abs($q)) ? 0 : $p <=> $q;
    }

    public static function numeric(mixed $value, int $at): BigRational|float
    {
        return $value instanceof BigRational || is_float($value) ? $value : throw new FormulaError(
            sprintf('A number was expected, not %s.', self::kind($value)),
            $at,
        );
    }

    public static function float(BigRational|float $value): float
    {
        return is_float($value) ? $value : $value->toFloat();
    }

    public static function isZero(BigRational|float $value): bool
    {
        return is_float($value) ? $value === 0.0 : $value->isZero();
    }

    public static function kind(mixed $value): string
    {
        return match (true) {
            is_string($value) => 'a text',
            is_bool($value) => 'true or false',
            is_array($value) => array_is_list($value) ? 'a list' : 'a group of values',
            $value instanceof Quantity => 'a number with a unit',
            $value === null => 'nothing',
            default => 'a number',
        };
    }

    private function combine(mixed $a, mixed $b, int $sign, int $at): BigRational|float|Quantity
    {
        $x = $a instanceof Quantity ? $a->number : $a;
        $y = $b instanceof Quantity ? $b->number : $b;
        $number = $sign > 0 ? $this->multiply($x, $y, $at) : $this->divide($x, $y, $at);
        if ($number instanceof Quantity) {
            throw new FormulaError('This has no value.', $at);
        }
        foreach ([$a, $b] as $one) {
            if ($one instanceof Quantity && !$one->unit->zero->isZero()) {
                throw new FormulaError('A temperature with a zero point of its own is no factor; use K.', $at);
            }
        }
        $unit = match (true) {
            $a instanceof Quantity && $b instanceof Quantity => $a->unit->times($b->unit, $sign),
            $a instanceof Quantity => $a->unit,
            $b instanceof Quantity => $sign > 0 ? $b->unit : $b->unit->inverse(),
            default => null,
        };

        return $unit === null ? $number : new Quantity($number, $unit);
    }
}
