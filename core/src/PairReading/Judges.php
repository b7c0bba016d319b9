<?php

declare(strict_types=1);

namespace ChalkLadder\Core\PairReading;

/** Who compares unlike the others, and what should be compared next. */
final class Judges
{
    /**
     * Mean squared standardised residual of each judge's comparisons under the fitted strengths: about 1 when a judge
     * sees what the others see, well above 1 when they often prefer the weaker (outfit of Wright & Masters 1982, as used
     * for judges by Pollitt, Assessment in Education 19, 2012).
     *
     * @param list<array{string, string, string}> $results   judge, winner, loser
     * @param array<string, float>                $abilities by object
     *
     * @return array<string, array{misfit: float, n: int}> by judge
     */
    public static function misfit(array $results, array $abilities): array
    {
        $sums = [];
        foreach ($results as [$judge, $winner, $loser]) {
            $p = 1 / (1 + exp(($abilities[$loser] ?? 0.0) - ($abilities[$winner] ?? 0.0)));
            $sums[$judge]['sum'] = ($sums[$judge]['sum'] ?? 0.0) + (1 - $p) / $p;
            $sums[$judge]['n'] = ($sums[$judge]['n'] ?? 0) + 1;
        }

        return array_map(static fn (array $s): array => ['misfit' => $s['sum'] / $s['n'], 'n' => $s['n']], $sums);
    }

    /**
     * The pair to compare next: of the object seen least, with the one nearest in ability that it has met least.
     *
     * @param array<string, float>       $abilities by object
     * @param list<array{string, string}> $met       comparisons made so far, in any order
     *
     * @return array{string, string}|null null with fewer than two objects
     */
    public static function next(array $abilities, array $met): ?array
    {
        $seen = array_fill_keys(array_keys($abilities), 0);
        $together = [];
        foreach ($met as [$a, $b]) {
            $seen[$a] = ($seen[$a] ?? 0) + 1;
            $seen[$b] = ($seen[$b] ?? 0) + 1;
            $together[$a][$b] = $together[$b][$a] = ($together[$a][$b] ?? 0) + 1;
        }
        if (count($abilities) < 2) {
            return null;
        }
        $names = array_keys($abilities);
        usort($names, static fn (int|string $a, int|string $b): int => [$seen[$a], (string) $a] <=> [$seen[$b], (string) $b]);
        $first = array_shift($names);
        usort(
            $names,
            static fn (int|string $a, int|string $b): int => [
                $together[$first][$a] ?? 0,
                abs($abilities[$a] - $abilities[$first]),
                $seen[$a],
                (string) $a,
            ] <=> [$together[$first][$b] ?? 0, abs($abilities[$b] - $abilities[$first]), $seen[$b], (string) $b],
        );

        return [(string) $first, (string) $names[0]];
    }
}
