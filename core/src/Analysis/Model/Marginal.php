<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * The marginal likelihood of the two-parameter model. Parameters are one list: slopes, then intercepts.
 *
 * The log-odds of a right answer are linear in ability, so a pattern's likelihood at a node needs only the sum of its
 * right answers' slopes and of their intercepts, beside one term for all with the same questions answered. And what EM
 * wants of the students are two sums a question. So a round costs students × (questions + nodes), not their product.
 */
final readonly class Marginal
{
    private const NODES = 41;
    private const WIDEST = 6.0;
    /** Logarithm of a share that adds nothing to a sum of doubles. */
    private const NOTHING = -38.0;

    /**
     * @param list<float>                                                                                     $nodes
     * @param list<float>                                                                                     $logPrior
     * @param list<array{items: list<int>, patterns: list<array{right: list<int>, count: int, rows: list<int>}>}> $groups   patterns by the questions answered
     * @param list<int>                                                                                       $answered how many answered each question
     * @param list<int>                                                                                       $right    how many of them have it right
     */
    private function __construct(
        private array $nodes,
        private array $logPrior,
        private array $groups,
        private array $answered,
        private array $right,
        private int $k,
    ) {
    }

    /** @param list<int> $columns the questions that count */
    public static function of(Binary $data, array $columns): self
    {
        $nodes = [];
        for ($q = 0; $q < self::NODES; ++$q) {
            $nodes[] = -self::WIDEST + 2 * self::WIDEST * $q / (self::NODES - 1);
        }
        $prior = array_map(static fn (float $t): float => exp(-$t * $t / 2), $nodes);
        $sum = array_sum($prior);
        $k = count($columns);
        $answered = $right = array_fill(0, $k, 0);
        $groups = [];
        foreach ($data->rows as $s => $row) {
            $items = $rights = [];
            foreach ($columns as $i => $c) {
                if ($row[$c] !== null) {
                    $items[] = $i;
                    ++$answered[$i];
                    if ($row[$c] === 1) {
                        $rights[] = $i;
                        ++$right[$i];
                    }
                }
            }
            $key = count($items) === $k ? '' : '.'.implode(',', $items);
            $groups[$key]['items'] ??= $items;
            $pattern = implode(',', $rights);
            $groups[$key]['patterns'][$pattern]['right'] ??= $rights;
            $groups[$key]['patterns'][$pattern]['count'] = ($groups[$key]['patterns'][$pattern]['count'] ?? 0) + 1;
            $groups[$key]['patterns'][$pattern]['rows'][] = $s;
        }

        return new self(
            $nodes,
            array_map(static fn (float $p): float => log($p / $sum), $prior),
            array_values(array_map(
                static fn (array $g): array => ['items' => $g['items'], 'patterns' => array_values($g['patterns'])],
                $groups,
            )),
            array_values($answered),
            array_values($right),
            $k,
        );
    }

    /** @return list<float> slopes of one, intercepts by the share right */
    public function start(): array
    {
        return [
            ...array_fill(0, $this->k, 1.0),
            ...array_map(
                static fn (int $right, int $n): float => 1.2 * log(($right + 0.5) / ($n - $right + 0.5)),
                $this->right,
                $this->answered,
            ),
        ];
    }

    /**
     * The log-likelihood and its slope in every parameter.
     *
     * @param list<float> $at
     *
     * @return array{float, list<float>}
     */
    public function slope(array $at): array
    {
        [$likelihood, $weights, $abilities] = $this->expect($at);
        $slope = [...$abilities, ...array_map(floatval(...), $this->right)];
        foreach ($this->chances($at) as $i => $p) {
            foreach ($weights[$i] as $q => $w) {
                $slope[$i] -= $w * $p[$q] * $this->nodes[$q];
                $slope[$this->k + $i] -= $w * $p[$q];
            }
        }

        return [$likelihood, array_values($slope)];
    }

    /**
     * One round of EM: abilities as they are expected, then each question's slope and intercept by Newton's method.
     *
     * @param list<float> $at
     *
     * @return list<float>
     */
    public function better(array $at): array
    {
        [, $weights, $abilities] = $this->expect($at);
        $next = $at;
        for ($i = 0; $i < $this->k; ++$i) {
            [$slope, $intercept] = [$at[$i], $at[$this->k + $i]];
            for ($round = 0; $round < 8; ++$round) {
                $ga = $abilities[$i];
                $gd = (float) $this->right[$i];
                $aa = $ad = $dd = 0.0;
                foreach ($weights[$i] as $q => $w) {
                    $t = $this->nodes[$q];
                    $p = 1 / (1 + exp(-$slope * $t - $intercept));
                    $ga -= $w * $p * $t;
                    $gd -= $w * $p;
                    $v = $w * $p * (1 - $p);
                    $aa += $v * $t * $t;
                    $ad += $v * $t;
                    $dd += $v;
                }
                $det = $aa * $dd - $ad * $ad;
                if ($det < 1e-12) {
                    break;
                }
                $da = max(-1.0, min(1.0, ($dd * $ga - $ad * $gd) / $det));
                $db = max(-1.0, min(1.0, ($aa * $gd - $ad * $ga) / $det));
                $slope += $da;
                $intercept += $db;
                if (abs($da) + abs($db) < 1e-9) {
                    break;
                }
            }
            $next[$i] = $slope;
            $next[$this->k + $i] = $intercept;
        }

        return array_values($next);
    }

    /**
     * The observed information: minus the second derivatives, by central differences of the slope.
     *
     * @param list<float> $at
     *
     * @return list<list<float>>
     */
    public function information(array $at): array
    {
        $rows = [];
        foreach ($at as $j => $v) {
            $h = 1e-4 * max(1.0, abs($v));
            $ahead = $behind = $at;
            $ahead[$j] = $v + $h;
            $behind[$j] = $v - $h;
            $rows[] = array_map(
                static fn (float $a, float $b): float => ($b - $a) / (2 * $h),
                $this->slope(array_values($ahead))[1],
                $this->slope(array_values($behind))[1],
            );
        }
        $symmetric = [];
        foreach ($rows as $i => $row) {
            $symmetric[] = array_map(static fn (float $v, float $w): float => ($v + $w) / 2, $row, array_column($rows, $i));
        }

        return $symmetric;
    }

    /**
     * @param list<float> $at
     *
     * @return array{list<float>, list<float>} mean and standard deviation of each student's posterior
     */
    public function abilities(array $at, int $students): array
    {
        $means = $errors = array_fill(0, $students, 0.0);
        $this->expect($at, static function (array $rows, float $mean, float $square) use (&$means, &$errors): void {
            foreach ($rows as $s) {
                $means[$s] = $mean;
                $errors[$s] = sqrt(max(0.0, $square - $mean * $mean));
            }
        });

        return [array_values($means), array_values($errors)];
    }

    /**
     * @param list<float>                                    $at
     * @param (\Closure(list<int>, float, float): void)|null $each told the students of a pattern, their mean ability and its mean square
     *
     * @return array{float, list<list<float>>, list<float>} log-likelihood; students expected at each node, by question; sum of the expected abilities of those who have it right, by question
     */
    private function expect(array $at, ?\Closure $each = null): array
    {
        $k = $this->k;
        $chances = $this->chances($at);
        $weights = array_fill(0, $k, array_fill(0, self::NODES, 0.0));
        $abilities = array_fill(0, $k, 0.0);
        $likelihood = 0.0;
        $nodes = $this->nodes;
        $peak = intdiv(self::NODES, 2);
        foreach ($this->groups as ['items' => $items, 'patterns' => $patterns]) {
            $base = $this->logPrior;
            foreach ($items as $i) {
                foreach ($chances[$i] as $q => $p) {
                    $base[$q] += log1p(-$p);
                }
            }
            $shared = array_fill(0, self::NODES, 0.0);
            foreach ($patterns as ['right' => $right, 'count' => $count, 'rows' => $rows]) {
                $slope = $intercept = 0.0;
                foreach ($right as $i) {
                    $slope += $at[$i];
                    $intercept += $at[$k + $i];
                }
                // The posterior has one peak and is nothing far from it: climb to it, then go out both ways.
                while ($peak < self::NODES - 1 && $base[$peak + 1] + $slope * $nodes[$peak + 1] > $base[$peak] + $slope * $nodes[$peak]) {
                    ++$peak;
                }
                while ($peak > 0 && $base[$peak - 1] + $slope * $nodes[$peak - 1] > $base[$peak] + $slope * $nodes[$peak]) {
                    --$peak;
                }
                $top = $base[$peak] + $slope * $nodes[$peak];
                $here = [$peak => 1.0];
                $sum = 1.0;
                $mean = $nodes[$peak];
                foreach ([1, -1] as $way) {
                    for ($q = $peak + $way; $q >= 0 && $q < self::NODES; $q += $way) {
                        $log = $base[$q] + $slope * $nodes[$q] - $top;
                        if ($log < self::NOTHING) {
                            break;
                        }
                        $w = exp($log);
                        $here[$q] = $w;
                        $sum += $w;
                        $mean += $w * $nodes[$q];
                    }
                }
                $likelihood += $count * (log($sum) + $top + $intercept);
                $share = $count / $sum;
                foreach ($here as $q => $w) {
                    $shared[$q] += $w * $share;
                }
                $mean /= $sum;
                foreach ($right as $i) {
                    $abilities[$i] += $count * $mean;
                }
                if ($each !== null) {
                    $square = 0.0;
                    foreach ($here as $q => $w) {
                        $square += $w * $nodes[$q] ** 2;
                    }
                    $each($rows, $mean, $square / $sum);
                }
            }
            foreach ($items as $i) {
                foreach ($shared as $q => $w) {
                    $weights[$i][$q] += $w;
                }
            }
        }

        return [$likelihood, array_values(array_map(array_values(...), $weights)), array_values($abilities)];
    }

    /**
     * @param list<float> $at
     *
     * @return list<list<float>> chance of a right answer, by question and node
     */
    private function chances(array $at): array
    {
        $chances = [];
        for ($i = 0; $i < $this->k; ++$i) {
            $row = [];
            foreach ($this->nodes as $t) {
                // Kept off one, so that its complement has a logarithm.
                $row[] = min(1 - 1e-15, 1 / (1 + exp(-$at[$i] * $t - $at[$this->k + $i])));
            }
            $chances[] = $row;
        }

        return $chances;
    }
}
