<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Compares two expressions by their values at fixed points. Agreement at all of them does not prove equality, but two
 * different analytic functions agree at points drawn from an interval with probability 0; the bound is that of the
 * arithmetic, a relative 1e−9.
 */
final class Sampling
{
    private const POINTS = 24;
    private const ENOUGH = 8;
    private const NEAR = 1e-9;

    /** True or false; null when too few points have a value on both sides. */
    public static function agree(Tree $a, Tree $b, float $from = -6.0, float $to = 6.0): ?bool
    {
        $names = array_values(array_unique([...$a->names(), ...$b->names()]));
        $names = array_values(array_diff($names, ['pi']));
        if ($names === []) {
            [$x, $y] = [self::value($a, []), self::value($b, [])];

            return $x === null || $y === null ? null : self::near($x, $y);
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
                if (!self::near($x, $y)) {
                    return false;
                }
                ++$common;
            } elseif ($x !== null || $y !== null) {
                ++$onlyOne;
            }
        }

        return $common < self::ENOUGH ? null : $onlyOne === 0 || $common >= self::POINTS / 2;
    }

    /** @param array<string, float> $point */
    private static function value(Tree $tree, array $point): ?float
    {
        $p = $tree->parts;
        if ($tree->op === 'number') {
            return $tree->exact()->toFloat();
        }
        if ($tree->op === 'name') {
            return $point[$tree->text()] ?? ($tree->text() === 'pi' ? M_PI : null);
        }
        $x = isset($p[0]) ? self::value($p[0], $point) : null;
        $y = isset($p[1]) ? self::value($p[1], $point) : null;
        if ($x === null || (isset($p[1]) && $y === null) || count($p) > 2) {
            return null;
        }
        $value = match ($tree->op) {
            '+' => $x + ($y ?? 0.0),
            '-' => $x - ($y ?? 0.0),
            '*' => $x * ($y ?? 0.0),
            '/' => $y === null || $y === 0.0 ? NAN : $x / $y,
            '^' => self::raised($x, $y ?? 0.0),
            'neg' => -$x,
            'percent' => $x / 100,
            'call' => match ($tree->text()) {
                'sqrt' => sqrt($x),
                'abs' => abs($x),
                'sin' => sin(deg2rad($x)),
                'cos' => cos(deg2rad($x)),
                'tan' => tan(deg2rad($x)),
                'exp' => exp($x),
                'ln' => $x > 0.0 ? log($x) : NAN,
                'log' => $x > 0.0 ? log10($x) : NAN,
                default => NAN,
            },
            default => NAN,
        };

        return is_nan($value) || is_infinite($value) || abs($value) > 1e200 ? null : $value;
    }

    private static function raised(float $x, float $y): float
    {
        return $x === 0.0 && $y <= 0.0 ? NAN : ($x < 0.0 && floor($y) !== $y ? NAN : $x ** $y);
    }

    private static function near(float $x, float $y): bool
    {
        return abs($x - $y) <= self::NEAR * max(1.0, abs($x), abs($y));
    }
}
