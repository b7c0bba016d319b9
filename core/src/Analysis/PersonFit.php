<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use ChalkLadder\Core\Analysis\Model\Binary;

/** Unusual patterns: students who have hard questions right and easy ones wrong. */
final class PersonFit
{
    private const GUTTMAN = 'Pairs of questions where the easier is wrong and the harder right, as a share of the most there could be at this score (normed Guttman errors; van der Flier 1977). Above 0.5, the order of difficulty says nothing of this student.';
    private const LZ = 'How likely the pattern is under the Rasch model, standardised (l_z; Drasgow, Levine & Williams 1985). Below −2: unusual.';
    private const LEAST = 5;

    /** @return list<Figure> for each student */
    public static function guttman(Binary $data): array
    {
        $facility = [];
        foreach (array_keys($data->ids) as $c) {
            $known = array_filter(array_column($data->rows, $c), static fn (?int $x): bool => $x !== null);
            $facility[$c] = $known === [] ? 0.0 : array_sum($known) / count($known);
        }
        arsort($facility);

        return array_map(static function (array $row) use ($facility): Figure {
            $wrong = $errors = $right = $n = 0;
            foreach (array_keys($facility) as $c) {
                $x = $row[$c];
                if ($x === null) {
                    continue;
                }
                ++$n;
                if ($x === 1) {
                    ++$right;
                    $errors += $wrong;
                } else {
                    ++$wrong;
                }
            }

            return $n < self::LEAST || $right === 0 || $wrong === 0
                ? Figure::missing(
                    $n,
                    self::GUTTMAN,
                    $n < self::LEAST ? 'Too few answers.' : 'All or nothing is right, so there is no pattern.',
                )
                : new Figure($errors / ($right * $wrong), $n, self::GUTTMAN, note: $n < 10 ? 'few' : null);
        }, $data->rows);
    }

    /**
     * @param list<int|null> $row        0, 1 or null by question
     * @param list<float>    $difficulty by question
     */
    public static function standardised(array $row, array $difficulty, float $ability): Figure
    {
        $observed = $expected = $variance = 0.0;
        $n = 0;
        foreach ($difficulty as $i => $d) {
            $x = $row[$i] ?? null;
            if ($x === null) {
                continue;
            }
            ++$n;
            $p = 1 / (1 + exp($d - $ability));
            $observed += $x === 1 ? log($p) : log1p(-$p);
            $expected += $p * log($p) + (1 - $p) * log1p(-$p);
            $variance += $p * (1 - $p) * ($ability - $d) ** 2;
        }

        return $n < self::LEAST || $variance <= 0.0 ? Figure::missing($n, self::LZ, 'Too few answers.') : new Figure(
            ($observed - $expected) / sqrt($variance),
            $n,
            self::LZ,
            note: $n < 10 ? 'few' : null,
        );
    }
}
