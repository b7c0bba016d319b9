<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Whether a question is harder for one group than for another *of the same score*: differential item functioning.
 *
 * Common odds ratio of Mantel & Haenszel (J. Natl. Cancer Inst. 22, 1959) with the variance of Robins, Breslow &
 * Greenland (Biometrics 42, 1986); on the delta scale −2.35 ln α, positive when it is easier for the second group
 * (Holland & Thayer 1988). Class A: negligible; C: at least 1.5 and significantly above 1; B: between.
 */
final readonly class MantelHaenszel
{
    private const FORMULA = 'Mantel–Haenszel: odds of a right answer, first group to second, among students of the same score; as −2.35 · ln of the common odds ratio. Below zero: harder for the second group.';

    private function __construct(public Figure $delta, public ?float $oddsRatio, public ?float $chiSquare, public string $class)
    {
    }

    /**
     * @param list<array{int, int, int, int}> $tables for each score: first group right and wrong, second group right and wrong
     */
    public static function of(array $tables): self
    {
        $r = $s = $pr = $mixed = $qs = $expected = $variance = $observed = 0.0;
        $n = 0;
        foreach ($tables as [$a, $b, $c, $d]) {
            $t = $a + $b + $c + $d;
            $n += $t;
            if ($t < 2 || $a + $b === 0 || $c + $d === 0) {
                continue;
            }
            [$ad, $bc] = [$a * $d / $t, $b * $c / $t];
            [$p, $q] = [($a + $d) / $t, ($b + $c) / $t];
            $r += $ad;
            $s += $bc;
            $pr += $p * $ad;
            $mixed += $p * $bc + $q * $ad;
            $qs += $q * $bc;
            $observed += $a;
            $expected += ($a + $b) * ($a + $c) / $t;
            $variance += ($a + $b) * ($c + $d) * ($a + $c) * ($b + $d) / ($t * $t * ($t - 1));
        }
        if ($r <= 0.0 || $s <= 0.0 || $variance <= 0.0) {
            return new self(
                Figure::missing($n, self::FORMULA, 'The groups share too few scores at which both right and wrong answers stand.'),
                null,
                null,
                '',
            );
        }
        $odds = $r / $s;
        $delta = -2.35 * log($odds);
        $se = 2.35 * sqrt($pr / (2 * $r * $r) + $mixed / (2 * $r * $s) + $qs / (2 * $s * $s));
        $chi = max(0.0, abs($observed - $expected) - 0.5) ** 2 / $variance;
        $size = abs($delta);
        $class = match (true) {
            $size < 1.0 || $chi < 3.841458820694124 => 'A',
            $size >= 1.5 && ($size - 1.0) / $se > 1.6448536269514722 => 'C',
            default => 'B',
        };

        return new self(
            new Figure(
                $delta,
                $n,
                self::FORMULA,
                $delta - 1.959963984540054 * $se,
                $delta + 1.959963984540054 * $se,
                Figure::few($n, 50),
            ),
            $odds,
            $chi,
            $class,
        );
    }
}
