<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use ChalkLadder\Core\Analysis\Model\Binary;

/** Unusual patterns: students who have hard questions right and easy ones wrong. */
final class PersonFit
{
    private const GUTTMAN = 'Pairs of questions where the easier is wrong and the harder right, as a share of the most there could be at this score (normed Guttman errors; van der Flier 1977); a pair of equally hard questions counts half. Above 0.5, the order of difficulty says nothing of this student.';
    private const LZ = 'How likely the pattern is under the Rasch model, standardised for an ability that is itself estimated from it (l_z*; Snijders 2001). Below −2: unusual.';
    private const LEAST = 5;

    /** @return list<Figure> for each student */
    public static function guttman(Binary $data): array
    {
        $facility = [];
        foreach (array_keys($data->ids) as $c) {
            $known = array_filter(array_column($data->rows, $c), static fn (?int $x): bool => $x !== null);
            $facility[$c] = $known === [] ? 0.0 : array_sum($known) / count($known);
        }

        return array_map(static function (array $row) use ($facility): Figure {
            $right = $wrong = [];
            foreach ($facility as $c => $share) {
                if (($row[$c] ?? null) !== null) {
                    $row[$c] === 1 ? $right[] = $share : $wrong[] = $share;
                }
            }
            $n = count($right) + count($wrong);
            if ($n < self::LEAST || $right === [] || $wrong === []) {
                return Figure::missing(
                    $n,
                    self::GUTTMAN,
                    $n < self::LEAST ? 'Too few answers.' : 'All or nothing is right, so there is no pattern.',
                );
            }
            $errors = 0.0;
            foreach ($wrong as $easier) {
                foreach ($right as $harder) {
                    // Shares that differ in their last bits alone are the same.
                    $errors += abs($easier - $harder) < 1e-9 ? 0.5 : ($easier > $harder ? 1.0 : 0.0);
                }
            }

            return new Figure($errors / (count($right) * count($wrong)), $n, self::GUTTMAN, note: Figure::few($n));
        }, $data->rows);
    }

    /**
     * @param list<int|null> $row        0, 1 or null by question
     * @param list<float>    $difficulty by question
     * @param float          $ability    by maximum likelihood
     */
    public static function standardised(array $row, array $difficulty, float $ability): Figure
    {
        $likelihood = $information = $slope = 0.0;
        $answered = [];
        foreach ($difficulty as $i => $d) {
            $x = $row[$i] ?? null;
            if ($x === null) {
                continue;
            }
            $p = 1 / (1 + exp($d - $ability));
            $likelihood += ($x - $p) * ($ability - $d);
            $information += $p * (1 - $p);
            $slope += $p * (1 - $p) * ($ability - $d);
            $answered[] = [$p * (1 - $p), $ability - $d];
        }
        $n = count($answered);
        // The ability has been fitted to the pattern: what the fit takes up is taken out of the weights (Snijders 2001, equation 10, with
        // r_i = 1 for the Rasch model and r_0 = 0 for maximum likelihood).
        $fitted = $information > 0.0 ? $slope / $information : 0.0;
        $variance = 0.0;
        foreach ($answered as [$weight, $distance]) {
            $variance += $weight * ($distance - $fitted) ** 2;
        }

        return $n < self::LEAST || $variance <= 1e-12 ? Figure::missing($n, self::LZ, 'Too few answers.') : new Figure(
            $likelihood / sqrt($variance),
            $n,
            self::LZ,
            note: Figure::few($n),
        );
    }
}
