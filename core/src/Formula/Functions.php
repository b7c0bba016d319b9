<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;

/** The fixed table of functions. Angles are in degrees, as the charts and protractors of a classroom are. */
final readonly class Functions
{
    /** name => [least, most arguments] */
    private const TABLE = [
        'abs' => [1, 1], 'round' => [1, 2], 'floor' => [1, 1], 'ceil' => [1, 1], 'sqrt' => [1, 1], 'gcd' => [2, 2], 'lcm' => [2, 2],
        'mod' => [2, 2],
        'sin' => [1, 1], 'cos' => [1, 1], 'tan' => [1, 1], 'asin' => [1, 1], 'acos' => [1, 1], 'atan' => [1, 1], 'exp' => [1, 1],
        'ln' => [1, 1], 'log' => [1, 1],
        'min' => [1, 100], 'max' => [1, 100], 'sum' => [1, 100], 'mean' => [1, 100], 'median' => [1, 100], 'count' => [1, 1],
        'at' => [2, 2], 'ratios' => [2, 2], 'constant' => [1, 1],
        'within' => [3, 3], 'sigfigs' => [1, 1], 'number' => [1, 2], 'matches' => [2, 2], 'same' => [2, 2], 'distance' => [2, 2],
        'length' => [1, 1], 'contains' => [2, 2],
    ];

    public function __construct(private Arithmetic $arithmetic, private Budget $budget, private TextFunctions $texts)
    {
    }

    public static function has(string $name): bool
    {
        return isset(self::TABLE[$name]);
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_keys(self::TABLE);
    }

    public static function expectCount(string $name, int $count, int $at): void
    {
        [$least, $most] = self::TABLE[$name] ?? [0, 0];
        if ($count < $least || $count > $most) {
            throw new FormulaError(
                sprintf(
                    '%s takes %s, not %d.',
                    $name,
                    $least === $most ? sprintf(
                        '%d %s',
                        $least,
                        $least === 1 ? 'argument' : 'arguments',
                    ) : sprintf('%d to %d arguments', $least, $most),
                    $count,
                ),
                $at,
            );
        }
    }

    /** @param list<mixed> $a as many as the table says */
    public function call(string $name, array $a, int $at): mixed
    {
        $this->budget->spend($at);

        return match ($name) {
            'abs' => $this->abs($a[0], $at),
            'round' => $this->rounded($a[0], $this->whole($a[1] ?? BigRational::zero(), -12, 12, $at), RoundingMode::HALF_UP, $at),
            'floor' => $this->rounded($a[0], 0, RoundingMode::FLOOR, $at),
            'ceil' => $this->rounded($a[0], 0, RoundingMode::CEILING, $at),
            'sqrt' => $this->arithmetic->root($a[0], $at),
            'gcd', 'lcm', 'mod' => $this->wholes($name, $a[0], $a[1], $at),
            'sin', 'cos', 'tan', 'asin', 'acos', 'atan', 'exp', 'ln', 'log' => $this->real($name, $a[0], $at),
            'min', 'max', 'sum', 'mean', 'median' => $this->ofMany($name, $a, $at),
            'count' => BigRational::of(count($this->list($a[0], $at))),
            'at' => $this->list($a[0], $at)[$this->whole($a[1], 1, 1000, $at) - 1]
                ?? throw new FormulaError('The list has no such element.', $at),
            'ratios' => $this->ratios($this->list($a[0], $at), $this->list($a[1], $at), $at),
            'constant' => $this->constant($this->list($a[0], $at), $at),
            'within' => $this->arithmetic->compare($this->abs($this->arithmetic->add($a[0], $a[1], -1, $at), $at), $a[2], $at) <= 0,
            'sigfigs' => BigRational::of($this->texts->significantFigures(self::text($a[0], $at))),
            'number' => $this->number($a, $at),
            'matches' => $this->texts->matches(self::text($a[0], $at), self::text($a[1], $at)),
            'same' => $this->texts->same(self::text($a[0], $at), self::text($a[1], $at)),
            'distance' => BigRational::of($this->texts->distance(
                $this->budget->text(self::text($a[0], $at), $at),
                $this->budget->text(self::text($a[1], $at), $at),
            )),
            'length' => BigRational::of(mb_strlen(self::text($a[0], $at))),
            'contains' => $this->texts->contains(self::text($a[0], $at), self::text($a[1], $at)),
            default => throw new FormulaError(sprintf('“%s” is not known here.', $name), $at),
        };
    }

    private static function text(mixed $value, int $at): string
    {
        return is_string($value) ? $value : throw new FormulaError(sprintf('A text was expected, not %s.', Arithmetic::kind($value)), $at);
    }

    /** @return list<mixed> */
    private function list(mixed $value, int $at): array
    {
        if (!is_array($value)) {
            throw new FormulaError(sprintf('A list was expected, not %s.', Arithmetic::kind($value)), $at);
        }
        $this->budget->elements(count($value), $at);

        return array_values($value);
    }

    private function whole(mixed $value, int $least, int $most, int $at): int
    {
        $x = Arithmetic::numeric($value, $at);
        if (!$x instanceof BigRational
            || !$x->simplified()->getDenominator()->isEqualTo(1)
            || $x->isLessThan($least)
            || $x->isGreaterThan($most)) {
            throw new FormulaError(sprintf('A whole number from %d to %d was expected.', $least, $most), $at);
        }

        return $x->simplified()->getNumerator()->toInt();
    }

    private function abs(mixed $value, int $at): BigRational|float|Quantity
    {
        if ($value instanceof Quantity) {
            $number = $this->abs($value->number, $at);

            return $number instanceof Quantity ? $number : new Quantity($number, $value->unit);
        }
        $x = Arithmetic::numeric($value, $at);

        return is_float($x) ? abs($x) : $x->abs();
    }

    private function rounded(mixed $value, int $places, RoundingMode $mode, int $at): BigRational|Quantity
    {
        if ($value instanceof Quantity) {
            $number = $this->rounded($value->number, $places, $mode, $at);

            return $number instanceof Quantity ? $number : new Quantity($number, $value->unit);
        }
        $x = Arithmetic::numeric($value, $at);
        // A float is read as the decimal that it stands for, to 15 digits.
        $exact = is_float($x) ? BigRational::of(sprintf('%.15G', $this->budget->float($x, $at))) : $x;
        $shift = BigRational::of(10)->power(abs($places));
        $scaled = ($places >= 0 ? $exact->multipliedBy($shift) : $exact->dividedBy($shift))->toScale(0, self::away($mode, $exact));

        return $this->budget->number(
            $places >= 0 ? BigRational::of($scaled)->dividedBy($shift) : BigRational::of($scaled)->multipliedBy($shift),
            $at,
        );
    }

    /** Half up, as a class is taught, also below zero: −2.5 becomes −2. */
    private static function away(RoundingMode $mode, BigRational $value): RoundingMode
    {
        return $mode === RoundingMode::HALF_UP && $value->isNegative() ? RoundingMode::HALF_DOWN : $mode;
    }

    private function wholes(string $name, mixed $a, mixed $b, int $at): BigRational
    {
        [$x, $y] = [Arithmetic::numeric($a, $at), Arithmetic::numeric($b, $at)];
        if (!$x instanceof BigRational
            || !$y instanceof BigRational
            || !$x->simplified()->getDenominator()->isEqualTo(1)
            || !$y->simplified()->getDenominator()->isEqualTo(1)) {
            throw new FormulaError(sprintf('%s takes whole numbers.', $name), $at);
        }
        [$m, $n] = [$x->simplified()->getNumerator(), $y->simplified()->getNumerator()];
        if ($n->isZero() && $name !== 'gcd') {
            throw new FormulaError('This divides by zero.', $at);
        }
        $this->budget->spend($at, 10);

        return BigRational::of(match ($name) {
            'gcd' => $m->gcd($n),
            'lcm' => $m->multipliedBy($n)->abs()->quotient($m->isZero() ? $n->abs() : $m->gcd($n)),
            default => $m->mod($n->abs()),
        });
    }

    private function real(string $name, mixed $value, int $at): float
    {
        if ($value instanceof Quantity) {
            $degree = Unit::named('°');
            $value = ($degree === null ? null : $value->in($degree))->number ?? throw new FormulaError(
                sprintf('%s takes an angle or a plain number.', $name),
                $at,
            );
        }
        $x = Arithmetic::float(Arithmetic::numeric($value, $at));
        $result = match ($name) {
            'sin' => sin(deg2rad($x)),
            'cos' => cos(deg2rad($x)),
            'tan' => abs(cos(deg2rad($x))) < 1e-15 ? NAN : tan(deg2rad($x)),
            'asin' => rad2deg(asin($x)),
            'acos' => rad2deg(acos($x)),
            'atan' => rad2deg(atan($x)),
            'exp' => exp($x),
            'ln' => $x > 0.0 ? log($x) : NAN,
            default => $x > 0.0 ? log10($x) : NAN,
        };

        return $this->budget->float($result, $at);
    }

    /**
     * Element by element, the first divided by the second.
     *
     * @param list<mixed> $over
     * @param list<mixed> $under
     *
     * @return list<mixed>
     */
    private function ratios(array $over, array $under, int $at): array
    {
        if (count($over) !== count($under)) {
            throw new FormulaError('The lists are not of the same length.', $at);
        }

        return array_map(fn (mixed $a, mixed $b): mixed => $this->arithmetic->divide($a, $b, $at), $over, $under);
    }

    /** @param list<mixed> $values */
    private function constant(array $values, int $at): bool
    {
        foreach (array_slice($values, 1) as $value) {
            if ($this->arithmetic->compare($value, $values[0], $at) !== 0) {
                return false;
            }
        }

        return true;
    }

    /** @param list<mixed> $arguments numbers, or one list of them */
    private function ofMany(string $name, array $arguments, int $at): mixed
    {
        $values = count($arguments) === 1 && is_array($arguments[0]) ? $this->list($arguments[0], $at) : $arguments;
        if ($values === []) {
            return $name === 'sum' ? BigRational::zero() : throw new FormulaError(sprintf('%s of an empty list has no value.', $name), $at);
        }
        if ($name === 'sum' || $name === 'mean') {
            $sum = array_reduce(
                array_slice($values, 1),
                fn (mixed $s, mixed $v): mixed => $this->arithmetic->add($s, $v, 1, $at),
                $values[0],
            );

            return $name === 'sum' ? $sum : $this->arithmetic->divide($sum, BigRational::of(count($values)), $at);
        }
        usort($values, fn (mixed $a, mixed $b): int => $this->arithmetic->compare($a, $b, $at));
        $n = count($values);

        return match ($name) {
            'min' => $values[0],
            'max' => $values[$n - 1],
            default => $n % 2 === 1 ? $values[intdiv($n, 2)] : $this->arithmetic->divide(
                $this->arithmetic->add($values[$n / 2 - 1], $values[$n / 2], 1, $at),
                BigRational::of(2),
                $at,
            ),
        };
    }

    /**
     * The plain number of a text or quantity; with a second argument, counted in that unit.
     *
     * @param list<mixed> $a
     */
    private function number(array $a, int $at): BigRational|float
    {
        $value = $a[0];
        if (is_string($value)) {
            $read = NumberText::read($value) ?? throw new FormulaError('This text is not a number.', $at);
            $unit = $read->unit === '' ? null : Unit::named($read->unit);
            $value = $unit === null ? $read->value : new Quantity($read->value, $unit);
        }
        if ($value instanceof Quantity) {
            $in = isset($a[1])
                ? Unit::named(self::text($a[1], $at)) ?? throw new FormulaError('This unit is not known here.', $at)
                : $value->unit;

            return $value->in($in)->number ?? throw new FormulaError(
                sprintf('%s is not measured in %s.', $value->unit->symbol, $in->symbol),
                $at,
            );
        }

        return Arithmetic::numeric($value, $at);
    }
}
