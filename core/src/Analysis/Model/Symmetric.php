<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/** Symmetric positive definite matrices, by Cholesky's factor. Source: Golub & Van Loan, Matrix Computations, §4.2. */
final class Symmetric
{
    /**
     * @param list<list<float>> $a
     *
     * @return list<list<float>>|null the inverse; null where the matrix is not positive definite
     */
    public static function inverse(array $a): ?array
    {
        $n = count($a);
        $l = self::factor($a);
        if ($l === null) {
            return null;
        }
        // L L' x = e for each unit vector; the inverse is symmetric, so its columns are its rows.
        $inverse = [];
        for ($c = 0; $c < $n; ++$c) {
            $inverse[] = array_values(self::solved($l, $c, $n));
        }

        return $inverse;
    }

    /**
     * The diagonal of the inverse alone: with L⁻¹ the sums of the squares of its columns.
     *
     * @param list<list<float>> $a
     *
     * @return list<float> zeros where the matrix is not positive definite
     */
    public static function inverseDiagonal(array $a): array
    {
        $n = count($a);
        $l = self::factor($a);
        $diagonal = [];
        for ($j = 0; $j < $n; ++$j) {
            if ($l === null) {
                $diagonal[] = 0.0;

                continue;
            }
            $column = [$j => 1 / $l[$j][$j]];
            $squares = $column[$j] ** 2;
            for ($i = $j + 1; $i < $n; ++$i) {
                $sum = 0.0;
                $row = $l[$i];
                for ($m = $j; $m < $i; ++$m) {
                    $sum -= $row[$m] * $column[$m];
                }
                $column[$i] = $sum / $row[$i];
                $squares += $column[$i] ** 2;
            }
            $diagonal[] = $squares;
        }

        return $diagonal;
    }

    /**
     * @param list<list<float>> $a
     * @param list<float>       $b
     *
     * @return list<float>
     */
    public static function times(array $a, array $b): array
    {
        return array_map(static function (array $row) use ($b): float {
            $sum = 0.0;
            foreach ($row as $j => $v) {
                $sum += $v * $b[$j];
            }

            return $sum;
        }, $a);
    }

    /**
     * @param list<list<float>> $a
     *
     * @return list<list<float>>|null the lower factor
     */
    private static function factor(array $a): ?array
    {
        $l = [];
        foreach ($a as $i => $row) {
            $own = [];
            $rest = $row[$i];
            foreach ($l as $j => $other) {
                $sum = $row[$j];
                for ($m = 0; $m < $j; ++$m) {
                    $sum -= $own[$m] * $other[$m];
                }
                $own[$j] = $sum / $other[$j];
                $rest -= $own[$j] ** 2;
            }
            if ($rest <= 1e-13 * abs($row[$i])) {
                return null;
            }
            $own[$i] = sqrt($rest);
            $l[] = array_values($own);
        }

        return $l;
    }

    /**
     * @param list<list<float>> $l the lower factor
     *
     * @return array<int, float> the solution for the unit vector of place c
     */
    private static function solved(array $l, int $c, int $n): array
    {
        $y = array_fill(0, $n, 0.0);
        for ($i = $c; $i < $n; ++$i) {
            $sum = $i === $c ? 1.0 : 0.0;
            for ($m = $c; $m < $i; ++$m) {
                $sum -= $l[$i][$m] * $y[$m];
            }
            $y[$i] = $sum / $l[$i][$i];
        }
        for ($i = $n - 1; $i >= 0; --$i) {
            for ($m = $i + 1; $m < $n; ++$m) {
                $y[$i] -= $l[$m][$i] * $y[$m];
            }
            $y[$i] /= $l[$i][$i];
        }

        return $y;
    }
}
