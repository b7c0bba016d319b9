<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * How likely a student follows one wrong idea: times shown over times it could have been shown.
 *
 * The rate has a Beta(1, 3) prior; the posterior after c of o is Beta(1 + c, 3 + o − c), whose mean is shown. Its interval
 * is Wilson's: that of the posterior holds too seldom where an idea is held often (docs/measurement.md). The idea is called *likely*
 * when it was shown at least twice and the posterior mean is at least 0.40.
 */
final readonly class Evidence
{
    private const PRIOR_YES = 1;
    private const PRIOR_NO = 3;
    private const LIKELY = 0.40;

    private function __construct(public int $shown, public int $offered, public Figure $rate, public bool $likely)
    {
    }

    public static function of(int $shown, int $offered): self
    {
        // Few distinct counts, many students: each interval is worked out once.
        /** @var array<string, self> $known */
        static $known = [];

        return $known[$shown.'/'.$offered] ??= self::reckon($shown, $offered);
    }

    private static function reckon(int $shown, int $offered): self
    {
        $a = self::PRIOR_YES + $shown;
        $b = self::PRIOR_NO + $offered - $shown;
        $mean = $a / ($a + $b);
        $interval = $offered === 0 ? [0.0, 1.0] : Intervals::wilson((float) $shown, $offered);

        return new self($shown, $offered, new Figure(
            $mean,
            $offered,
            'Times shown over times it could have been shown, with a Beta(1, 3) prior; posterior mean; 95 % interval by Wilson. Likely: shown at least twice and mean at least 0.40.',
            $interval[0],
            $interval[1],
            Figure::few($offered, 3),
        ), $shown >= 2 && $mean >= self::LIKELY);
    }
}
