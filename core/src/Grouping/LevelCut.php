<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/**
 * The best cut of students in order of level into so many parts whose sizes are kept: least squares within the parts, exact, by
 * dynamic programming (Fisher, Journal of the American Statistical Association 53, 1958). No grouping of single students under
 * these sizes is more alike.
 */
final readonly class LevelCut
{
    /**
     * @param float     $within the sum of squares within the parts
     * @param list<int> $parts  the part of each level, in the order given
     */
    private function __construct(public float $within, public array $parts)
    {
    }

    /**
     * @param list<float> $levels
     *
     * @return self|null null when no sizes fit
     */
    public static function of(array $levels, Plan $plan): ?self
    {
        $n = count($levels);
        $order = array_keys($levels);
        usort($order, static fn (int $a, int $b): int => [$levels[$a], $a] <=> [$levels[$b], $b]);
        $sum = $square = [0.0];
        foreach ($order as $rank => $i) {
            $sum[] = $sum[$rank] + $levels[$i];
            $square[] = $square[$rank] + $levels[$i] ** 2;
        }
        $most = $plan->most > 0 ? $plan->most : $n;
        $best = array_fill(0, $n + 1, INF);
        $best[0] = 0.0;
        $cuts = [];
        for ($g = 0; $g < $plan->groups; ++$g) {
            $next = array_fill(0, $n + 1, INF);
            for ($to = 0; $to <= $n; ++$to) {
                for ($size = $plan->least; $size <= min($most, $to); ++$size) {
                    $from = $to - $size;
                    $within = $size === 0 ? 0.0 : $square[$to] - $square[$from] - ($sum[$to] - $sum[$from]) ** 2 / $size;
                    if ($next[$to] > $best[$from] + $within) {
                        $next[$to] = $best[$from] + $within;
                        $cuts[$g][$to] = $from;
                    }
                }
            }
            $best = $next;
        }

        return is_infinite($best[$n]) ? null : new self(max(0.0, $best[$n]), self::parts($order, $cuts, $plan->groups));
    }

    /**
     * @param list<int>                   $order in which the levels rise
     * @param array<int, array<int, int>> $cuts  where a part begins, by its number and where it ends
     *
     * @return list<int>
     */
    private static function parts(array $order, array $cuts, int $groups): array
    {
        $parts = array_fill(0, count($order), 0);
        $to = count($order);
        for ($g = $groups - 1; $g >= 0; --$g) {
            for ($from = $cuts[$g][$to] ?? 0; $to > $from; --$to) {
                $parts[$order[$to - 1]] = $g;
            }
        }

        return array_values($parts);
    }
}
