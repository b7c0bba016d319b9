<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * Climbs the conditional likelihood of {@see PartialCredit}: each category's weight is scaled by what was counted over what is expected
 * given the scores (Andersen, J. R. Statist. Soc. B 34, 1972), quickened by squared extrapolation (Varadhan & Roland 2008). Standard
 * errors from the information, by central differences of the exact slope, under the condition that the thresholds add up to 0.
 */
final class CategoryScaling
{
    private const MOST_ROUNDS = 300;
    private const CLOSE = 1e-9;
    private const FARTHEST = 12.0;

    /** @var list<array{items: list<int>, counts: array<int, int>}> students with the same questions answered, by score */
    private array $groups = [];
    /** @var list<list<int>> how many have each step, by question */
    private array $counted = [];
    /** @var list<float> thresholds, question by question */
    private array $thresholds;

    /**
     * @param list<int>            $steps of each question
     * @param list<list<int|null>> $rows  steps taken by students with neither nothing nor everything
     */
    public function __construct(private readonly array $steps, array $rows)
    {
        $counted = array_map(static fn (int $m): array => array_fill(0, $m + 1, 0), $steps);
        $groups = [];
        foreach ($rows as $row) {
            $answered = array_filter($row, is_int(...));
            foreach ($answered as $i => $x) {
                ++$counted[$i][$x];
            }
            $key = implode(',', array_keys($answered));
            $groups[$key]['items'] ??= array_keys($answered);
            $score = array_sum($answered);
            $groups[$key]['counts'][$score] = ($groups[$key]['counts'][$score] ?? 0) + 1;
        }
        $this->counted = array_values(array_map(array_values(...), $counted));
        $this->groups = array_values($groups);
        $this->thresholds = $this->climbed(array_fill(0, array_sum($steps), 0.0));
    }

    /** @return list<list<float>> by question */
    public function thresholds(): array
    {
        return $this->byQuestion($this->thresholds);
    }

    /** @return list<list<float>> standard errors of the thresholds, by question; empty where the likelihood is flat */
    public function errors(): array
    {
        $k = count($this->thresholds);
        $rows = [];
        foreach ($this->thresholds as $j => $v) {
            $h = 1e-4;
            $ahead = $behind = $this->thresholds;
            $ahead[$j] = $v + $h;
            $behind[$j] = $v - $h;
            $rows[] = array_map(
                static fn (float $a, float $b): float => ($b - $a) / (2 * $h),
                $this->slope(array_values($ahead)),
                $this->slope(array_values($behind)),
            );
        }
        // All thresholds together may be moved without a change; that they add up to 0 holds them.
        $held = [];
        foreach ($rows as $i => $row) {
            $held[] = array_map(static fn (float $v, float $w): float => ($v + $w) / 2 + 1.0, $row, array_column($rows, $i));
        }
        $inverse = Symmetric::inverse($held);

        return $inverse === null ? [] : $this->byQuestion(array_map(
            static fn (array $row, int $i): float => sqrt(max(0.0, $row[$i] - 1 / $k ** 2)),
            $inverse,
            array_keys($inverse),
        ));
    }

    /**
     * The slope of the log-likelihood in each threshold.
     *
     * @param list<float> $thresholds
     *
     * @return list<float>
     */
    private function slope(array $thresholds): array
    {
        $slope = [];
        foreach ($this->expected($thresholds) as $i => $expected) {
            for ($step = 1; $step <= $this->steps[$i]; ++$step) {
                $more = 0.0;
                for ($x = $step; $x <= $this->steps[$i]; ++$x) {
                    $more += $expected[$x] - $this->counted[$i][$x];
                }
                $slope[] = $more;
            }
        }

        return $slope;
    }

    /**
     * @param list<float> $at
     *
     * @return list<float>
     */
    private function climbed(array $at): array
    {
        for ($round = 0; $round < self::MOST_ROUNDS; ++$round) {
            $first = $this->better($at);
            $second = $this->better($first);
            $step = $bend = $move = 0.0;
            foreach ($at as $j => $v) {
                $r = $first[$j] - $v;
                $w = $second[$j] - $first[$j] - $r;
                $step += $r * $r;
                $bend += $w * $w;
                $move = max($move, abs($second[$j] - $first[$j]));
            }
            $alpha = $bend > 0.0 ? -min(16.0, max(1.0, sqrt($step / $bend))) : -1.0;
            $leap = [];
            foreach ($at as $j => $v) {
                $r = $first[$j] - $v;
                $far = $v - 2 * $alpha * $r + $alpha * $alpha * ($second[$j] - $first[$j] - $r);
                $leap[] = max(-self::FARTHEST, min(self::FARTHEST, $far));
            }
            $next = $alpha < -1.0 ? $this->better($leap) : $second;
            // A leap that leads further from rest is not taken.
            $at = self::longest($this->slope($next)) <= self::longest($this->slope($second)) ? $next : $second;
            if ($move < self::CLOSE) {
                break;
            }
        }

        return $at;
    }

    /** @param list<float> $x */
    private static function longest(array $x): float
    {
        return max(0.0, ...array_map(abs(...), $x));
    }

    /**
     * Each category scaled to what was counted.
     *
     * @param list<float> $thresholds
     *
     * @return list<float>
     */
    private function better(array $thresholds): array
    {
        $next = [];
        $at = 0;
        foreach ($this->expected($thresholds) as $i => $expected) {
            $before = log($this->counted[$i][0] / max(1e-300, $expected[0]));
            for ($x = 1; $x <= $this->steps[$i]; ++$x, ++$at) {
                $here = log($this->counted[$i][$x] / max(1e-300, $expected[$x]));
                $next[] = max(-self::FARTHEST, min(self::FARTHEST, $thresholds[$at] - ($here - $before)));
                $before = $here;
            }
        }
        $mean = array_sum($next) / max(1, count($next));

        return array_map(static fn (float $t): float => $t - $mean, $next);
    }

    /**
     * How many are expected at each step, given the scores.
     *
     * @param list<float> $thresholds
     *
     * @return list<list<float>> by question
     */
    private function expected(array $thresholds): array
    {
        $weights = array_map(static function (array $own): array {
            $log = 0.0;
            $weights = [1.0];
            foreach ($own as $threshold) {
                $log -= $threshold;
                $weights[] = exp($log);
            }

            return $weights;
        }, $this->byQuestion($thresholds));
        $expected = array_map(static fn (int $m): array => array_fill(0, $m + 1, 0.0), $this->steps);
        foreach ($this->groups as ['items' => $items, 'counts' => $counts]) {
            $n = count($items);
            $before = [[1.0]];
            foreach ($items as $place => $i) {
                $before[] = self::product($before[$place], $weights[$i]);
            }
            $after = [$n => [1.0]];
            for ($place = $n - 1; $place >= 0; --$place) {
                $after[$place] = self::product($after[$place + 1], $weights[$items[$place]]);
            }
            foreach ($items as $place => $i) {
                $others = self::product($before[$place], $after[$place + 1]);
                foreach ($counts as $score => $students) {
                    foreach ($weights[$i] as $x => $weight) {
                        $expected[$i][$x] += $students * $weight * ($others[$score - $x] ?? 0.0) / $before[$n][$score];
                    }
                }
            }
        }

        return array_values(array_map(array_values(...), $expected));
    }

    /**
     * Of two polynomials, lowest power first.
     *
     * @param list<float> $a
     * @param list<float> $b
     *
     * @return list<float>
     */
    private static function product(array $a, array $b): array
    {
        $product = array_fill(0, count($a) + count($b) - 1, 0.0);
        foreach ($a as $i => $x) {
            foreach ($b as $j => $y) {
                $product[$i + $j] += $x * $y;
            }
        }

        return array_values($product);
    }

    /**
     * @param list<float> $values
     *
     * @return list<list<float>>
     */
    private function byQuestion(array $values): array
    {
        $parts = [];
        $at = 0;
        foreach ($this->steps as $m) {
            $parts[] = array_slice($values, $at, $m);
            $at += $m;
        }

        return $parts;
    }
}
