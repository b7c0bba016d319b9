<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/**
 * Lower, middle and upper third by a score. Students tied across a cut are split fairly: each counts in both parts with
 * the weight that fills the part exactly.
 */
final readonly class Thirds
{
    /** @param array{list<float>, list<float>, list<float>} $weights for each third, a weight 0…1 for each student */
    private function __construct(public array $weights)
    {
    }

    /** @param list<float> $scores */
    public static function by(array $scores): self
    {
        $n = count($scores);
        $values = array_count_values(array_map(static fn (float $s): string => sprintf('%.9F', $s), $scores));
        ksort($values, SORT_NUMERIC);
        $parts = [];
        $below = 0;
        foreach ($values as $value => $count) {
            for ($third = 0; $third < 3; ++$third) {
                $from = max($below, $third * $n / 3);
                $to = min($below + $count, ($third + 1) * $n / 3);
                $parts[$third][$value] = max(0.0, $to - $from) / $count;
            }
            $below += $count;
        }
        $weights = static fn (int $third): array => array_map(static fn (float $s): float => $parts[$third][sprintf('%.9F', $s)] ?? 0.0, $scores);

        return new self([$weights(0), $weights(1), $weights(2)]);
    }
}
