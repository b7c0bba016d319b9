<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * How likely each score is when questions are right with known chances, and the same with one or two questions left out.
 *
 * With chances p = ε/(1 + ε) these are the elementary symmetric functions of the ε over their product with (1 + ε), so
 * their ratios are those of the Rasch model (Andersen, JRSS B 34, 1972) and nothing over- or underflows. All are sums of
 * positive terms, never differences (the summation method; Verhelst, Glas & van der Sluis, 1984), with the leaving out
 * done by halves, so no digit is lost at 200 questions.
 */
final class ScoreChances
{
    /**
     * @param list<float> $p
     *
     * @return list<float> by score 0…k
     */
    public static function all(array $p): array
    {
        return self::joined([1.0], $p);
    }

    /**
     * @param list<float> $p
     *
     * @return list<list<float>> by the question left out, then by score
     */
    public static function withoutEach(array $p): array
    {
        /** @var array<int, list<float>> $found */
        $found = [];
        self::halve($p, 0, count($p), [1.0], $found);
        ksort($found);

        return array_values($found);
    }

    /**
     * @param list<float>             $p
     * @param list<float>             $outer chances of the scores of all that is left out of this part
     * @param array<int, list<float>> $found
     */
    private static function halve(array $p, int $from, int $to, array $outer, array &$found): void
    {
        if ($to - $from === 1) {
            $found[$from] = $outer;

            return;
        }
        if ($to <= $from) {
            return;
        }
        $middle = intdiv($from + $to, 2);
        self::halve($p, $from, $middle, self::joined($outer, array_slice($p, $middle, $to - $middle)), $found);
        self::halve($p, $middle, $to, self::joined($outer, array_slice($p, $from, $middle - $from)), $found);
    }

    /**
     * @param list<float> $chances
     * @param list<float> $p       of the questions that join
     *
     * @return list<float>
     */
    private static function joined(array $chances, array $p): array
    {
        foreach ($p as $one) {
            $none = 1.0 - $one;
            $last = 0.0;
            foreach ($chances as $r => $chance) {
                $chances[$r] = $chance * $none + $last * $one;
                $last = $chance;
            }
            $chances[] = $last * $one;
        }

        return $chances;
    }
}
