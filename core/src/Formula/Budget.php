<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Brick\Math\BigRational;

/** What one evaluation may cost. Larger numbers cost more, so that no input can take long. */
final class Budget
{
    private const MOST_DIGITS = 120;
    private const LONGEST_TEXT = 20_000;
    private const MOST_ELEMENTS = 1000;

    private const STEPS = 4000;
    private int $left = self::STEPS;

    /** @param Effort|null $effort what this evaluation costs is taken from it too */
    public function __construct(private readonly ?Effort $effort = null)
    {
    }

    public function spend(int $at, int $cost = 1): void
    {
        $this->left -= $cost;
        $this->effort?->spend($cost);
        if ($this->left < 0) {
            throw new FormulaError('This takes too many steps to work out.', $at);
        }
    }

    /** Simplified, and refused when it has grown too long to go on with. */
    public function number(BigRational $value, int $at): BigRational
    {
        $digits = strlen((string) $value->getNumerator()) + strlen((string) $value->getDenominator());
        if ($digits > 4 * self::MOST_DIGITS) {
            throw new FormulaError(sprintf('This number has more than %d digits.', self::MOST_DIGITS), $at);
        }
        $this->spend($at, 1 + intdiv($digits, 24));
        // Long numbers cost by the square of their length.
        $this->effort?->spend(intdiv($digits * $digits, 60));
        $value = $value->simplified();
        if (strlen((string) $value->getNumerator()) + strlen((string) $value->getDenominator()) > self::MOST_DIGITS) {
            throw new FormulaError(sprintf('This number has more than %d digits.', self::MOST_DIGITS), $at);
        }

        return $value;
    }

    public function float(float $value, int $at): float
    {
        if (is_nan($value) || is_infinite($value)) {
            throw new FormulaError('This has no value.', $at);
        }

        return $value;
    }

    public function text(string $text, int $at): string
    {
        $this->spend($at, 1 + intdiv(strlen($text), 500));

        return strlen($text) <= self::LONGEST_TEXT ? $text : throw new FormulaError('This text is too long.', $at);
    }

    public function elements(int $count, int $at): void
    {
        $this->spend($at, 1 + intdiv($count, 20));
        if ($count > self::MOST_ELEMENTS) {
            throw new FormulaError(sprintf('A list of more than %d elements.', self::MOST_ELEMENTS), $at);
        }
    }
}
