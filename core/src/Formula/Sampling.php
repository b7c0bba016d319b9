<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Compares two expressions by their values at fixed points. Agreement at all of them does not prove equality, but two
 * different analytic functions agree at points drawn from an interval with probability 0; the bound is a relative 1e−9 of
 * the larger value, or what rounding may have done to both: the error of each step is carried along with its value (running
 * error analysis, Higham, Accuracy and Stability of Numerical Algorithms, 2nd edition 2002, section 3.3).
 */
final class Sampling
{
    private const POINTS = 24;
    private const ENOUGH = 8;
    private const NEAR = 1e-9;
    /** Half a unit in the last place of 1. */
    private const UNIT = 2.0 ** -53;
    private const MARGIN = 16;

    /** True or false; null when too few points have a value on both sides. */
    public static function agree(Tree $a, Tree $b, float $from = -6.0, float $to = 6.0): ?bool
    {
        return self::compared($a, $b, $from, $to, false);
    }

    /** Whether one is a constant multiple of the other, and neither is zero everywhere. */
    public static function proportional(Tree $a, Tree $b, float $from = -6.0, float $to = 6.0): ?bool
    {
        return self::compared($a, $b, $from, $to, true);
    }

    private static function compared(Tree $a, Tree $b, float $from, float $to, bool $free): ?bool
    {
        $names = array_values(array_unique([...$a->names(), ...$b->names()]));
        $names = array_values(array_diff($names, ['pi']));
        $factor = $free ? null : 1.0;
        if ($names === []) {
            [$x, $y] = [self::value($a, []), self::value($b, [])];

            return $x === null || $y === null ? null : ($free || self::near($x, $y, 1.0));
        }
        $random = new Randomizer(new Xoshiro256StarStar(20_261_124));
        $common = 0;
        $onlyOne = 0;
        for ($i = 0; $i < self::POINTS; ++$i) {
            $point = [];
            foreach ($names as $name) {
                // Half of the points lie above zero in every name, so that roots and logarithms have values.
                $low = $i % 2 === 0 ? max($from, 0.05) : $from;
                $point[$name] = $low >= $to ? $to : $low + ($to - $low) * ($random->getInt(1, 999_983) / 999_984);
            }
            [$x, $y] = [self::value($a, $point), self::value($b, $point)];
            if ($x !== null && $y !== null) {
                $factor ??= $y[0] === 0.0 || $x[0] === 0.0 ? null : $x[0] / $y[0];
                if ($factor === null || !self::near($x, $y, $factor)) {
                    return false;
                }
                ++$common;
            } elseif ($x !== null || $y !== null) {
                ++$onlyOne;
            }
        }

        return $common < self::ENOUGH ? null : $onlyOne === 0 || $common >= self::POINTS / 2;
    }

    /**
     * @param array<string, float> $point
     *
     * @return array{float, float}|null the value, and how far off rounding may have put it
     */
    private static function value(Tree $tree, array $point): ?array
    {
        $p = $tree->parts;
        if ($tree->op === 'number') {
            return self::rounded($tree->exact()->toFloat(), 0.0);
        }
        if ($tree->op === 'name') {
            $value = $point[$tree->text()] ?? ($tree->text() === 'pi' ? M_PI : null);

            return $value === null ? null : [$value, 0.0];
        }
        if (count($p) === 0 || count($p) > 2) {
            return null;
        }
        $x = self::value($p[0], $point);
        $y = isset($p[1]) ? self::value($p[1], $point) : [0.0, 0.0];

        return $x === null || $y === null ? null : self::combined($tree, $x, $y);
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     *
     * @return array{float, float}|null
     */
    private static function combined(Tree $tree, array $a, array $b): ?array
    {
        [$x, $dx] = $a;
        [$y, $dy] = $b;

        return match ($tree->op) {
            '+' => self::rounded($x + $y, $dx + $dy),
            '-' => self::rounded($x - $y, $dx + $dy),
            '*' => self::rounded($x * $y, abs($x) * $dy + abs($y) * $dx),
            '/' => $y === 0.0 ? null : self::rounded($x / $y, ($dx + abs($x / $y) * $dy) / abs($y)),
            '^' => self::raised($x, $dx, $y, $dy),
            'neg' => [-$x, $dx],
            'percent' => self::rounded($x / 100, $dx / 100),
            'call' => self::called($tree->text(), $x, $dx),
            default => null,
        };
    }

    /** @return array{float, float}|null */
    private static function called(string $function, float $x, float $dx): ?array
    {
        $turn = deg2rad($x);
        $turned = deg2rad($dx) + self::UNIT * abs($turn);

        return match ($function) {
            'sqrt' => $x < 0.0 ? null : self::rounded(sqrt($x), $x > 0.0 ? $dx / (2 * sqrt($x)) : sqrt($dx)),
            'abs' => [abs($x), $dx],
            'sin' => self::rounded(sin($turn), $turned),
            'cos' => self::rounded(cos($turn), $turned),
            'tan' => self::rounded(tan($turn), $turned * (1 + tan($turn) ** 2)),
            'asin', 'acos' => abs($x) >= 1.0 ? null
                : self::rounded(rad2deg($function === 'asin' ? asin($x) : acos($x)), rad2deg($dx / sqrt(1 - $x * $x))),
            'atan' => self::rounded(rad2deg(atan($x)), rad2deg($dx / (1 + $x * $x))),
            'exp' => self::rounded(exp($x), exp($x) * $dx),
            'ln' => $x > 0.0 ? self::rounded(log($x), $dx / $x) : null,
            'log' => $x > 0.0 ? self::rounded(log10($x), $dx / $x) : null,
            default => null,
        };
    }

    /** @return array{float, float}|null */
    private static function raised(float $x, float $dx, float $y, float $dy): ?array
    {
        if (($x === 0.0 && $y <= 0.0) || ($x < 0.0 && floor($y) !== $y)) {
            return null;
        }
        $value = $x ** $y;

        return $x === 0.0 ? [$value, $dx] : self::rounded($value, abs($value) * (abs($y * $dx / $x) + abs(log(abs($x))) * $dy));
    }

    /** @return array{float, float}|null */
    private static function rounded(float $value, float $error): ?array
    {
        return is_nan($value) || is_infinite($value) || abs($value) > 1e200 ? null : [$value, $error + self::UNIT * abs($value)];
    }

    /**
     * @param array{float, float} $a
     * @param array{float, float} $b
     */
    private static function near(array $a, array $b, float $factor): bool
    {
        $other = $factor * $b[0];

        return abs($a[0] - $other) <= max(self::NEAR * max(abs($a[0]), abs($other)), self::MARGIN * ($a[1] + abs($factor) * $b[1]));
    }
}
