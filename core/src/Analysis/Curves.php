<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * The probability curves that intervals and tests are read from.
 *
 * Normal quantile: Wichura (1988), AS 241, PPND16. Incomplete beta: DLMF §8.17(v), continued fraction by the modified
 * Lentz method. Student t: DLMF §8.17 with I_x(ν/2, 1/2). Log gamma: Lanczos (1964), g = 7, 9 terms, ≥ 14 digits.
 */
final class Curves
{
    private const LANCZOS = [
        0.99999999999980993,
        676.5203681218851,
        -1259.1392167224028,
        771.32342877765313,
        -176.61502916214059,
        12.507343278686905,
        -0.13857109526572012,
        9.9843695780195716e-6,
        1.5056327351493116e-7,
    ];
    private const REMEMBERED = 1000;

    /** @var array<string, float> values of t that were found, by probability and degrees of freedom */
    private static array $t = [];

    /** The value below which a standard normal lies with probability p, 0 < p < 1. */
    public static function normalQuantile(float $p): float
    {
        $q = $p - 0.5;
        if (abs($q) <= 0.425) {
            $r = 0.180625 - $q * $q;

            return $q * self::poly(
                $r,
                [
                    3.3871328727963666080,
                    133.14166789178437745,
                    1971.5909503065514427,
                    13731.693765509461125,
                    45921.953931549871457,
                    67265.770927008700853,
                    33430.575583588128105,
                    2509.0809287301226727,
                ],
            )
                / self::poly(
                    $r,
                    [
                        1.0,
                        42.313330701600911252,
                        687.18700749205790830,
                        5394.1960214247511077,
                        21213.794301586595867,
                        39307.895800092710610,
                        28729.085735721942674,
                        5226.4952788528545610,
                    ],
                );
        }
        $r = sqrt(-log($q < 0 ? $p : 1 - $p));
        if ($r <= 5) {
            $r -= 1.6;
            $z = self::poly(
                $r,
                [
                    1.42343711074968357734,
                    4.63033784615654529590,
                    5.76949722146069140550,
                    3.64784832476320460504,
                    1.27045825245236838258,
                    0.241780725177450611770,
                    0.0227238449892691845833,
                    7.74545014278341407640e-4,
                ],
            )
                / self::poly(
                    $r,
                    [
                        1.0,
                        2.05319162663775882187,
                        1.67638483018380384940,
                        0.689767334985100004550,
                        0.148103976427480074590,
                        0.0151986665636164571966,
                        5.47593808499534494600e-4,
                        1.05075007164441684324e-9,
                    ],
                );
        } else {
            $r -= 5;
            $z = self::poly(
                $r,
                [
                    6.65790464350110377720,
                    5.46378491116411436990,
                    1.78482653991729133580,
                    0.296560571828504891230,
                    0.0265321895265761230930,
                    1.24266094738807843860e-3,
                    2.71155556874348757815e-5,
                    2.01033439929228813265e-7,
                ],
            )
                / self::poly(
                    $r,
                    [
                        1.0,
                        0.599832206555887937690,
                        0.136929880922735805310,
                        0.0148753612908506148525,
                        7.86869131145613259100e-4,
                        1.84631831751005468180e-5,
                        1.42151175831644588870e-7,
                        2.04426310338993978564e-15,
                    ],
                );
        }

        return $q < 0 ? -$z : $z;
    }

    /** The value below which Student's t with ν degrees of freedom lies with probability p. */
    public static function tQuantile(float $p, float $nu): float
    {
        if ($p < 0.5) {
            return -self::tQuantile(1 - $p, $nu);
        }
        // Hundreds of students with as many answers each ask for the same value, and finding one takes a millisecond.
        if (count(self::$t) >= self::REMEMBERED) {
            self::$t = [];
        }

        return self::$t[sprintf('%.17g|%.17g', $p, $nu)] ??= self::findT($p, $nu);
    }

    /** The regularised incomplete beta function I_x(a, b). */
    public static function betaCdf(float $x, float $a, float $b): float
    {
        if ($x <= 0.0) {
            return 0.0;
        }
        if ($x >= 1.0) {
            return 1.0;
        }
        $front = exp(self::logGamma($a + $b) - self::logGamma($a) - self::logGamma($b) + $a * log($x) + $b * log1p(-$x));

        return $x < ($a + 1) / ($a + $b + 2)
            ? $front * self::betaFraction($x, $a, $b) / $a
            : 1.0 - $front * self::betaFraction(1 - $x, $b, $a) / $b;
    }

    /** Inverse of {@see betaCdf} by bisection: 100 halvings reach the last bit. */
    public static function betaQuantile(float $p, float $a, float $b): float
    {
        $low = 0.0;
        $high = 1.0;
        for ($i = 0; $i < 100; ++$i) {
            $mid = ($low + $high) / 2;
            if (self::betaCdf($mid, $a, $b) < $p) {
                $low = $mid;
            } else {
                $high = $mid;
            }
        }

        return ($low + $high) / 2;
    }

    /** The value below which F with d1 and d2 degrees of freedom lies with probability p. */
    public static function fQuantile(float $p, float $d1, float $d2): float
    {
        $x = self::betaQuantile($p, $d1 / 2, $d2 / 2);

        return $x >= 1.0 ? INF : $d2 * $x / ($d1 * (1 - $x));
    }

    /** Two-sided exact binomial test of p = 1/2: the probability of a split at least as uneven as k of n. */
    public static function evenSplit(int $k, int $n): float
    {
        $few = min($k, $n - $k);
        $sum = 0.0;
        for ($i = 0; $i <= $few; ++$i) {
            $sum += exp(self::logGamma($n + 1) - self::logGamma($i + 1) - self::logGamma($n - $i + 1) - $n * M_LN2);
        }

        return min(1.0, 2 * $sum);
    }

    public static function logGamma(float $x): float
    {
        --$x;
        $sum = self::LANCZOS[0];
        for ($i = 1; $i < 9; ++$i) {
            $sum += self::LANCZOS[$i] / ($x + $i);
        }
        $t = $x + 7.5;

        return 0.5 * log(2 * M_PI) + ($x + 0.5) * log($t) - $t + log($sum);
    }

    /** P(T ≤ t) = 1 − I_{ν/(ν+t²)}(ν/2, 1/2) / 2 for t ≥ 0. */
    private static function findT(float $p, float $nu): float
    {
        $x = self::betaQuantile(2 * (1 - $p), $nu / 2, 0.5);

        return $x <= 0.0 ? INF : sqrt($nu * (1 - $x) / $x);
    }

    private static function betaFraction(float $x, float $a, float $b): float
    {
        $tiny = 1e-300;
        $c = 1.0;
        $d = 1 - ($a + $b) * $x / ($a + 1);
        $d = 1 / (abs($d) < $tiny ? $tiny : $d);
        $h = $d;
        for ($m = 1; $m <= 500; ++$m) {
            foreach ([
                $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)),
            ] as $term) {
                $d = 1 + $term * $d;
                $d = 1 / (abs($d) < $tiny ? $tiny : $d);
                $c = 1 + $term / $c;
                $c = abs($c) < $tiny ? $tiny : $c;
                $h *= $d * $c;
            }
            if (abs($d * $c - 1) < 1e-15) {
                break;
            }
        }

        return $h;
    }

    /** @param non-empty-list<float> $coefficients lowest power first */
    private static function poly(float $x, array $coefficients): float
    {
        $sum = 0.0;
        foreach (array_reverse($coefficients) as $c) {
            $sum = $sum * $x + $c;
        }

        return $sum;
    }
}
