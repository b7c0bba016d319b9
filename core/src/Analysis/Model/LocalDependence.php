<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

use ChalkLadder\Core\Analysis\Sample;

/**
 * Two questions that hang together beyond what ability explains, such as two halves of one task: Yen's Q3, the correlation of what is
 * left of both answers once the model has had its say (Applied Psychological Measurement 8, 1984). It is set against the mean of all
 * pairs, which lies below 0 (Christensen, Makransky & Horton 2017).
 */
final readonly class LocalDependence
{
    /** So far above the mean of all pairs. */
    private const ABOVE = 0.2;
    /** And so many standard errors of a correlation: chance alone makes the largest of many pairs large. */
    private const ERRORS = 3.5;
    private const LEAST = 30;
    private const MOST_QUESTIONS = 100;

    private function __construct(public string $first, public string $second, public float $q3, public float $aboveMean, public int $n)
    {
    }

    /**
     * @param list<int>   $columns   the questions that count
     * @param list<float> $at        slopes, then intercepts
     * @param list<float> $abilities of each student
     *
     * @return list<self> the strongest first
     */
    public static function of(Binary $data, array $columns, array $at, array $abilities): array
    {
        $k = count($columns);
        if ($k > self::MOST_QUESTIONS) {
            return [];
        }
        $left = [];
        foreach ($columns as $i => $c) {
            foreach ($data->rows as $s => $row) {
                if ($row[$c] !== null) {
                    $left[$i][$s] = $row[$c] - 1 / (1 + exp(-$at[$i] * $abilities[$s] - $at[$k + $i]));
                }
            }
        }
        $pairs = [];
        for ($i = 0; $i < $k; ++$i) {
            for ($j = $i + 1; $j < $k; ++$j) {
                $common = array_intersect_key($left[$i] ?? [], $left[$j] ?? []);
                $n = count($common);
                $q3 = $n < self::LEAST ? null : Sample::correlation(
                    array_values($common),
                    array_values(array_intersect_key($left[$j], $common)),
                );
                if ($q3 !== null) {
                    $pairs[] = [$i, $j, $q3, $n];
                }
            }
        }
        $mean = $pairs === [] ? 0.0 : array_sum(array_column($pairs, 2)) / count($pairs);
        $found = [];
        foreach ($pairs as [$i, $j, $q3, $n]) {
            if ($q3 - $mean > max(self::ABOVE, self::ERRORS / sqrt($n))) {
                $found[] = new self($data->ids[$columns[$i]], $data->ids[$columns[$j]], $q3, $q3 - $mean, $n);
            }
        }
        usort($found, static fn (self $a, self $b): int => $b->q3 <=> $a->q3);

        return $found;
    }
}
