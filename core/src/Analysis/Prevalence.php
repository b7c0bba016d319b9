<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** How many of those who met a wrong idea have shown it. */
final readonly class Prevalence
{
    private const FORMULA = 'Students who have shown it at least once over those who answered a question that offers it; 95 % interval by Wilson.';

    /**
     * @param list<string> $met   ids of those who could have shown it; a student who met it several times is one
     * @param list<string> $shown ids of those who did, among them
     */
    public static function of(array $met, array $shown): Figure
    {
        $n = count(array_unique($met));
        if ($n === 0) {
            return Figure::missing(0, self::FORMULA, 'nobody has met it');
        }
        $k = count(array_unique(array_intersect($shown, $met)));
        [$low, $high] = Intervals::wilson((float) $k, $n);

        return new Figure($k / $n, $n, self::FORMULA, $low, $high, Figure::few($n));
    }
}
