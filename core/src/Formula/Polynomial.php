<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigInteger;
use Brick\Math\BigRational;

/** A polynomial in any number of names over the rationals: exact, expanded, like terms collected. */
final readonly class Polynomial
{
    private const MOST_TERMS = 300;
    private const LARGEST_DEGREE = 40;

    /** @param array<string, BigRational> $terms coefficient, not 0, by monomial: "" or names with exponents, "x:2,y:1", in order */
    private function __construct(public array $terms)
    {
    }

    public static function constant(BigRational $value): self
    {
        return new self($value->isZero() ? [] : ['' => $value->simplified()]);
    }

    public static function name(string $name): self
    {
        return new self([$name.':1' => BigRational::one()]);
    }

    public function isZero(): bool
    {
        return $this->terms === [];
    }

    public function isConstant(): bool
    {
        return $this->terms === [] || array_keys($this->terms) === [''];
    }

    public function plus(self $other, int $sign = 1): self
    {
        $terms = $this->terms;
        foreach ($other->terms as $monomial => $c) {
            $sum = isset($terms[$monomial])
                ? ($sign > 0 ? $terms[$monomial]->plus($c) : $terms[$monomial]->minus($c))->simplified()
                : ($sign > 0 ? $c : $c->negated());
            if ($sum->isZero()) {
                unset($terms[$monomial]);
            } else {
                $terms[$monomial] = $sum;
            }
        }

        return self::bounded($terms);
    }

    /** @throws FormulaError when it grows beyond its bounds */
    public function times(self $other): self
    {
        if (count($this->terms) * count($other->terms) > 4 * self::MOST_TERMS) {
            throw new FormulaError('This expression is too large to be compared exactly.');
        }
        $terms = [];
        foreach ($this->terms as $a => $x) {
            foreach ($other->terms as $b => $y) {
                $monomial = self::joined((string) $a, (string) $b);
                $product = $x->multipliedBy($y);
                $terms[$monomial] = isset($terms[$monomial]) ? $terms[$monomial]->plus($product) : $product;
            }
        }

        return self::bounded(array_filter(
            array_map(static fn (BigRational $c): BigRational => $c->simplified(), $terms),
            static fn (BigRational $c): bool => !$c->isZero(),
        ));
    }

    public function power(int $n): self
    {
        if ($n > self::LARGEST_DEGREE) {
            throw new FormulaError('This power is too high to be compared exactly.');
        }
        $result = self::constant(BigRational::one());
        for ($i = 0; $i < $n; ++$i) {
            $result = $result->times($this);
        }

        return $result;
    }

    public function equals(self $other): bool
    {
        return $this->plus($other, -1)->isZero();
    }

    /** The constant c with this = c · other, or null when there is none. */
    public function multipleOf(self $other): ?BigRational
    {
        $monomial = array_key_first($other->terms);
        if ($monomial === null || !isset($this->terms[$monomial])) {
            return null;
        }
        $ratio = $this->terms[$monomial]->dividedBy($other->terms[$monomial])->simplified();

        return $this->equals($other->times(self::constant($ratio))) ? $ratio : null;
    }

    /** Highest sum of exponents of a term; −1 for 0. */
    public function degree(): int
    {
        return $this->terms === [] ? -1 : max(array_map(
            static fn (string $m): int => array_sum(self::exponents($m)),
            array_map(strval(...), array_keys($this->terms)),
        ));
    }

    /** @return list<string> */
    public function names(): array
    {
        $names = [];
        foreach (array_keys($this->terms) as $monomial) {
            $names += self::exponents((string) $monomial);
        }

        return array_map(strval(...), array_keys($names));
    }

    /**
     * Whether a factor with rational coefficients can still be taken out: a common number, a common name, or, in one name
     * and up to degree 4, a rational root (rational root theorem, candidates up to 10 000 in size).
     */
    public function canBeFactorised(): bool
    {
        if ($this->degree() < 1) {
            return false;
        }
        [$whole, $content] = $this->primitive();
        if (!$content->abs()->isEqualTo(1)) {
            return true;
        }
        if (count($whole) > 1 && $this->commonName()) {
            return true;
        }
        $names = $this->names();
        $degree = $this->degree();
        if (count($names) !== 1 || $degree < 2) {
            return false;
        }
        $coefficients = [];
        for ($i = 0; $i <= $degree; ++$i) {
            $coefficients[] = $whole[$i === 0 ? '' : $names[0].':'.$i] ?? BigInteger::zero();
        }
        [$last, $first] = [$coefficients[0]->abs(), $coefficients[$degree]->abs()];
        if ($last->isZero()) {
            return true;
        }
        if ($last->isGreaterThan(10_000) || $first->isGreaterThan(10_000)) {
            return false;
        }
        foreach (self::divisors($last->toInt()) as $p) {
            foreach (self::divisors($first->toInt()) as $q) {
                foreach ([$p, -$p] as $signed) {
                    if (self::vanishes($coefficients, $signed, $q)) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /** @param array<string, BigRational> $terms */
    private static function bounded(array $terms): self
    {
        if (count($terms) > self::MOST_TERMS) {
            throw new FormulaError('This expression has too many terms to be compared exactly.');
        }
        foreach ($terms as $monomial => $c) {
            if (array_sum(self::exponents((string) $monomial)) > self::LARGEST_DEGREE
                || strlen((string) $c->getNumerator()) + strlen((string) $c->getDenominator()) > 200) {
                throw new FormulaError('This expression is too large to be compared exactly.');
            }
        }

        return new self($terms);
    }

    /** @return array<string, int> */
    private static function exponents(string $monomial): array
    {
        $exponents = [];
        foreach ($monomial === '' ? [] : explode(',', $monomial) as $part) {
            [$name, $power] = explode(':', $part);
            $exponents[$name] = (int) $power;
        }

        return $exponents;
    }

    private static function joined(string $a, string $b): string
    {
        if ($a === '' || $b === '') {
            return $a.$b;
        }
        $exponents = self::exponents($a);
        foreach (self::exponents($b) as $name => $power) {
            $exponents[$name] = ($exponents[$name] ?? 0) + $power;
        }
        ksort($exponents, SORT_STRING);

        return implode(
            ',',
            array_map(static fn (string $n, int $p): string => $n.':'.$p, array_map(strval(...), array_keys($exponents)), $exponents),
        );
    }

    /** @return array{array<string, BigInteger>, BigRational} coefficients as coprime whole numbers, and what was taken out */
    private function primitive(): array
    {
        $under = BigInteger::one();
        foreach ($this->terms as $c) {
            $under = $under->multipliedBy($c->getDenominator())->quotient($under->gcd($c->getDenominator()));
        }
        $whole = array_map(static fn (BigRational $c): BigInteger => $c->multipliedBy($under)->simplified()->getNumerator(), $this->terms);
        $common = array_reduce($whole, static fn (BigInteger $g, BigInteger $c): BigInteger => $g->gcd($c), BigInteger::zero());
        $common = $common->isZero() ? BigInteger::one() : $common;

        return [array_map(static fn (BigInteger $c): BigInteger => $c->quotient($common), $whole), BigRational::nd($common, $under)];
    }

    private function commonName(): bool
    {
        foreach ($this->names() as $name) {
            $in = array_filter(array_keys($this->terms), static fn (int|string $m): bool => isset(self::exponents((string) $m)[$name]));
            if (count($in) === count($this->terms)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<int> */
    private static function divisors(int $n): array
    {
        return array_values(array_filter(range(1, max(1, $n)), static fn (int $d): bool => $n % $d === 0));
    }

    /** @param list<BigInteger> $coefficients from the constant up */
    private static function vanishes(array $coefficients, int $p, int $q): bool
    {
        // Horner at p/q, multiplied through by q to the degree.
        $sum = BigInteger::zero();
        $power = BigInteger::one();
        foreach (array_reverse($coefficients) as $c) {
            $sum = $sum->multipliedBy($p)->plus($c->multipliedBy($power));
            $power = $power->multipliedBy($q);
        }

        return $sum->isZero();
    }
}
