<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** How much milder or stricter each marker is than the others on what both have marked. */
final class Severity
{
    private const FORMULA = 'Mean of this marker’s mark less the mean of the other markers’ marks of the same work; 95 % interval by Student’s t. Below zero: stricter.';

    /**
     * @param list<array<string, float|null>> $units marks by marker, for each piece of work; null or absent: not marked
     *
     * @return array<string, Figure> by marker, in order of first appearance
     */
    public static function of(array $units): array
    {
        $gaps = [];
        foreach ($units as $marks) {
            $marks = array_filter($marks, static fn (?float $m): bool => $m !== null);
            $sum = array_sum($marks);
            $n = count($marks);
            foreach ($marks as $marker => $mark) {
                $gaps[$marker] ??= [];
                if ($n > 1) {
                    $gaps[$marker][] = $mark - ($sum - $mark) / ($n - 1);
                }
            }
        }

        return array_map(static function (array $gap): Figure {
            $mean = Sample::mean($gap);
            $interval = $mean === null ? null : Intervals::mean($mean, Sample::sd($gap), count($gap));

            return $mean === null ? Figure::missing(0, self::FORMULA, 'Nobody else has marked the same work.') : new Figure(
                $mean,
                count($gap),
                self::FORMULA,
                $interval[0] ?? null,
                $interval[1] ?? null,
                Figure::few(count($gap)),
            );
        }, $gaps);
    }
}
