<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** What a team's students have earned on a skill over all that they were asked. */
final readonly class SkillRecord
{
    private const FORMULA = 'Mean credit over all answers to questions of this skill; 95 % interval with each student’s answers as one cluster.';

    /** @param list<non-empty-list<float>> $credits of each student, 0…1 each */
    public static function of(array $credits): Figure
    {
        $n = count($credits);
        $clusters = array_map(static fn (array $own): array => [array_sum($own), (float) count($own)], $credits);
        $interval = Intervals::clustered($clusters);
        if ($interval === null) {
            return Figure::missing(0, self::FORMULA, 'nobody has answered one');
        }
        $mean = array_sum(array_column($clusters, 0)) / array_sum(array_column($clusters, 1));

        return new Figure($mean, $n, self::FORMULA, $interval[0], $interval[1], Figure::few($n));
    }
}
