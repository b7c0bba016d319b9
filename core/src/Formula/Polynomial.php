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

    /** The polynomial q with this = q · other, or null when there is none. */
    public function dividedBy(self $other): ?self
    {
        if ($other->isZero()) {
            return null;
        }
        $lead = $other->leading();
        $rest = $this;
        $quotient = new self([]);
        // Each step takes away the leading term, so the steps are as many as the quotient has terms.
        for ($i = 0; !$rest->isZero(); ++$i) {
            $top = $rest->leading();
            $monomial = $i < self::MOST_TERMS ? self::parted($top, $lead) : null;
            if ($monomial === null) {
                return null;
            }
            $term = new self([$monomial => $rest->terms[$top]->dividedBy($other->terms[$lead])->simplified()]);
            $quotient = $quotient->plus($term);
            $rest = $rest->plus($term->times($other), -1);
        }

        return $quotient;
    }

    /** The greatest common divisor where both have one and the same name alone (Euclid); null otherwise. */
    public function commonDivisor(self $other): ?self
    {
        $names = array_values(array_unique([...$this->names(), ...$other->names()]));
        if (count($names) !== 1 || $this->isZero() || $other->isZero()) {
            return null;
        }
        [$a, $b] = $this->degree() >= $other->degree() ? [$this, $other] : [$other, $this];
        while (!$b->isZero()) {
            [$a, $b] = [$b, $a->remainder($b)->scaled()];
        }

        return $a;
    }

    private function remainder(self $other): self
    {
        $lead = $other->leading();
        $rest = $this;
        while (!$rest->isZero() && ($monomial = self::parted($rest->leading(), $lead)) !== null) {
            $term = new self([$monomial => $rest->terms[$rest->leading()]->dividedBy($other->terms[$lead])->simplified()]);
            $rest = $rest->plus($term->times($other), -1);
        }

        return $rest;
    }

    /** With coprime whole coefficients, so that they do not grow from step to step. */
    private function scaled(): self
    {
        return new self(array_map(BigRational::of(...), $this->primitive()[0]));
    }

    /** The first monomial in the order of the alphabet (lexicographic: x² before x y before x before y). */
    private function leading(): string
    {
        $monomials = array_map(strval(...), array_keys($this->terms));
        $names = $this->names();
        sort($names, SORT_STRING);
        usort($monomials, static function (string $a, string $b) use ($names): int {
            [$x, $y] = [self::exponents($a), self::exponents($b)];
            foreach ($names as $name) {
                $order = ($y[$name] ?? 0) <=> ($x[$name] ?? 0);
                if ($order !== 0) {
                    return $order;
                }
            }

            return 0;
        });

        return $monomials[0] ?? '';
    }

    /** The monomial a ÷ b, or null when b holds more of a name. */
    private static function parted(string $a, string $b): ?string
    {
        $exponents = self::exponents($a);
        foreach (self::exponents($b) as $name => $power) {
            $left = ($exponents[$name] ?? 0) - $power;
            if ($left < 0) {
                return null;
            }
            $exponents[$name] = $left;
        }

        return self::monomial(array_filter($exponents, static fn (int $power): bool => $power !== 0));
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

        return self::monomial($exponents);
    }

    /** @param array<string, int> $exponents */
    private static function monomial(array $exponents): string
    {
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
