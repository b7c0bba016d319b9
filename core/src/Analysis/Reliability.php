<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Cronbach's α (Psychometrika 16, 1951; KR-20 where credit is 0 or 1), with Feldt's interval (Psychometrika 30, 1965) and
 * the standard error of measurement SD·√(1 − α).
 */
final readonly class Reliability
{
    private const ALPHA = 'Cronbach’s α = k/(k − 1) · (1 − sum of the questions’ variances / variance of the total); 95 % interval by Feldt.';
    private const SEM = 'Standard error of measurement: SD · √(1 − α).';

    /** @param list<Figure> $ifDropped α of the others, for each question */
    private function __construct(public Figure $alpha, public Figure $sem, public array $ifDropped)
    {
    }

    /** @param list<list<float>> $columns marks of each question, for students who have all of them; equal lengths */
    public static function of(array $columns): self
    {
        $k = count($columns);
        $n = count($columns[0] ?? []);
        $none = static fn (string $why): self => new self(
            Figure::missing($n, self::ALPHA, $why),
            Figure::missing($n, self::SEM, $why),
            array_fill(0, $k, Figure::missing($n, self::ALPHA, $why)),
        );
        if ($k < 2 || $n < 2) {
            return $none($k < 2 ? 'At least two questions are needed.' : 'At least two students with every question are needed.');
        }
        $totals = array_fill(0, $n, 0.0);
        foreach ($columns as $column) {
            foreach ($column as $s => $mark) {
                $totals[$s] += $mark;
            }
        }
        $variances = array_map(self::variance(...), $columns);
        $sum = array_sum($variances);
        $total = self::variance($totals);
        if ($total < 1e-12) {
            return $none('All totals are the same.');
        }
        $alpha = self::alpha($k, $sum, $total);
        [$low, $high] = self::feldt($alpha, $n, $k);
        $dropped = [];
        foreach ($columns as $i => $column) {
            // Var(T − X) = Var(T) + Var(X) − 2 Cov(T, X).
            $rest = $total + $variances[$i] - 2 * self::covariance($totals, $column);
            $dropped[] = $k < 3 || $rest < 1e-12 ? Figure::missing(
                $n,
                self::ALPHA,
                $k < 3 ? 'One question alone would be left.' : 'All totals would be the same.',
            ) : new Figure(self::alpha($k - 1, $sum - $variances[$i], $rest), $n, self::ALPHA);
        }

        return new self(
            new Figure($alpha, $n, self::ALPHA, $low, $high, Figure::few($n)),
            new Figure(sqrt($total * max(0.0, 1 - $alpha)), $n, self::SEM, note: Figure::few($n)),
            $dropped,
        );
    }

    /** @return array{float, float} 95 % */
    public static function feldt(float $alpha, int $n, int $k): array
    {
        return [
            1 - (1 - $alpha) * Curves::fQuantile(0.975, $n - 1, ($n - 1) * ($k - 1)),
            1 - (1 - $alpha) * Curves::fQuantile(0.025, $n - 1, ($n - 1) * ($k - 1)),
        ];
    }

    private static function alpha(int $k, float $sum, float $total): float
    {
        return $k / ($k - 1) * (1 - $sum / $total);
    }

    /** @param array<int, float> $x */
    private static function variance(array $x): float
    {
        return self::covariance($x, $x);
    }

    /**
     * @param array<int, float> $x
     * @param array<int, float> $y
     */
    private static function covariance(array $x, array $y): float
    {
        $n = count($x);
        $mx = array_sum($x) / $n;
        $my = array_sum($y) / $n;
        $sum = 0.0;
        foreach ($x as $i => $v) {
            $sum += ($v - $mx) * ($y[$i] - $my);
        }

        return $sum / ($n - 1);
    }
}
