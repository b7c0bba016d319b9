<?php

declare(strict_types=1);

namespace ChalkLadder\Core\PairReading;

use ChalkLadder\Core\Analysis\Model\Symmetric;

/**
 * Abilities from comparisons of two: P(i beats j) = 1/(1 + exp(βj − βi)), by the MM algorithm of Hunter (Annals of
 * Statistics 32, 2004), standard errors from the observed information, abilities centred on 0.
 *
 * A drawn comparison is half a win for each. Where somebody won or lost everything, or the comparisons fall apart into
 * unconnected sets, no finite maximum exists;
 * then each pair of a thing with an average one is taken to have been drawn once, with weight 0.1, and that is said.
 */
final readonly class BradleyTerry
{
    private const PRIOR = 0.1;
    private const MOST_ROUNDS = 10_000;
    private const CLOSE = 1e-10;

    /**
     * @param array<string, array{ability: float, se: float, wins: int, losses: int, ties: int}> $objects
     * @param float|null                                                              $reliability separation reliability; null with fewer than two things
     * @param string|null                                                             $note        set where a prior was needed
     */
    private function __construct(public array $objects, public ?float $reliability, public int $rounds, public ?string $note)
    {
    }

    /**
     * @param list<array{string, string}> $results winner, loser
     * @param list<array{string, string}> $ties    drawn comparisons: half a win for each
     */
    public static function of(array $results, array $ties = []): self
    {
        $place = $wins = $losses = [];
        foreach ([...$results, ...$ties] as [$winner, $loser]) {
            $place[$winner] ??= count($place);
            $place[$loser] ??= count($place);
        }
        $names = array_map(strval(...), array_keys($place));
        $n = count($names);
        $wins = $losses = array_fill(0, $n, 0);
        /** @var array<int, array<int, int>> $met */
        $met = array_fill(0, $n, []);
        $beat = array_fill(0, $n, []);
        foreach ($results as [$winner, $loser]) {
            [$i, $j] = [$place[$winner], $place[$loser]];
            if ($i === $j) {
                throw new \DomainException(sprintf('%s is compared with itself.', $winner));
            }
            ++$wins[$i];
            ++$losses[$j];
            $met[$i][$j] = ($met[$i][$j] ?? 0) + 1;
            $met[$j][$i] = ($met[$j][$i] ?? 0) + 1;
            $beat[$i][$j] = true;
        }
        $drawn = array_fill(0, $n, 0);
        foreach ($ties as [$one, $other]) {
            [$i, $j] = [$place[$one], $place[$other]];
            if ($i === $j) {
                throw new \DomainException(sprintf('%s is compared with itself.', $one));
            }
            ++$drawn[$i];
            ++$drawn[$j];
            $met[$i][$j] = ($met[$i][$j] ?? 0) + 1;
            $met[$j][$i] = ($met[$j][$i] ?? 0) + 1;
            $beat[$i][$j] = $beat[$j][$i] = true;
        }
        $prior = $n < 2 || self::connected($n, $beat) ? 0.0 : self::PRIOR;
        $strength = array_fill(0, $n, 1.0);
        $round = 0;
        while ($round < self::MOST_ROUNDS) {
            ++$round;
            $most = 0.0;
            $next = [];
            foreach ($met as $i => $others) {
                // The average thing has strength 1: one drawn comparison is half a win.
                $sum = $prior / ($strength[$i] + 1);
                foreach ($others as $j => $count) {
                    $sum += $count / ($strength[$i] + $strength[$j]);
                }
                $next[$i] = $sum > 0.0 ? ($wins[$i] + $drawn[$i] / 2 + $prior / 2) / $sum : 1.0;
            }
            $centre = $prior > 0.0 || $n === 0 ? 0.0 : array_sum(array_map(log(...), $next)) / $n;
            foreach ($next as $i => $value) {
                $value /= exp($centre);
                $most = max($most, abs(log($value / $strength[$i])));
                $strength[$i] = $value;
            }
            if ($most < self::CLOSE) {
                break;
            }
        }
        $centre = $n === 0 ? 0.0 : array_sum(array_map(log(...), $strength)) / $n;
        $errors = self::errors($met, $strength, $prior);
        $objects = [];
        foreach ($names as $i => $name) {
            $objects[$name] = [
                'ability' => log($strength[$i]) - $centre,
                'se' => $errors[$i],
                'wins' => $wins[$i],
                'losses' => $losses[$i],
                'ties' => $drawn[$i],
            ];
        }

        return new self(
            $objects,
            self::reliability(array_values($objects)),
            $round,
            $prior > 0.0
                ? 'Somebody won or lost every comparison, or the comparisons fall into unconnected sets; a prior of one draw of weight 0.1 with an average thing was added for each.'
                : null,
        );
    }

    /**
     * Whether each thing can be reached from each other along wins (Ford 1957): then the maximum is finite.
     *
     * @param list<array<int, true>> $beat
     */
    private static function connected(int $n, array $beat): bool
    {
        $back = array_fill(0, $n, []);
        foreach ($beat as $i => $beaten) {
            foreach (array_keys($beaten) as $j) {
                $back[$j][$i] = true;
            }
        }
        foreach ([$beat, $back] as $edges) {
            $seen = [0 => true];
            $todo = [0];
            while ($todo !== []) {
                foreach (array_keys($edges[array_pop($todo)]) as $j) {
                    if (!isset($seen[$j])) {
                        $seen[$j] = true;
                        $todo[] = $j;
                    }
                }
            }
            if (count($seen) < $n) {
                return false;
            }
        }

        return true;
    }

    /**
     * Standard errors under the constraint that abilities sum to 0: the diagonal of the pseudo-inverse of the
     * information matrix, as (I + 11ᵀ/n)⁻¹ − 11ᵀ/n.
     *
     * @param array<int, array<int, int>> $met
     * @param array<int, float>           $strength
     *
     * @return list<float>
     */
    private static function errors(array $met, array $strength, float $prior): array
    {
        $n = count($strength);
        $matrix = array_fill(0, $n, array_fill(0, $n, $n === 0 ? 0.0 : 1 / $n));
        foreach ($met as $i => $others) {
            $matrix[$i][$i] += $prior * $strength[$i] / ($strength[$i] + 1) ** 2;
            foreach ($others as $j => $count) {
                $p = $strength[$i] / ($strength[$i] + $strength[$j]);
                $matrix[$i][$i] += $count * $p * (1 - $p);
                $matrix[$i][$j] -= $count * $p * (1 - $p);
            }
        }

        return array_map(
            static fn (float $variance): float => sqrt(max(0.0, $variance - 1 / $n)),
            Symmetric::inverseDiagonal(array_values(array_map(array_values(...), $matrix))),
        );
    }

    /**
     * (observed variance − mean squared error) / observed variance.
     *
     * @param list<array{ability: float, se: float, wins: int, losses: int, ties: int}> $objects
     */
    private static function reliability(array $objects): ?float
    {
        $n = count($objects);
        if ($n < 2) {
            return null;
        }
        $variance = array_sum(array_map(static fn (array $o): float => $o['ability'] ** 2, $objects)) / ($n - 1);
        $error = array_sum(array_map(static fn (array $o): float => $o['se'] ** 2, $objects)) / $n;

        return $variance < 1e-12 ? 0.0 : max(0.0, ($variance - $error) / $variance);
    }
}
