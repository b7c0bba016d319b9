<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * The marginal likelihood of the two-parameter model. Parameters are one list: slopes, then intercepts.
 *
 * The log-odds of a right answer are linear in ability, so a pattern's likelihood at a node needs only the sum of its
 * right answers' slopes and of their intercepts, beside one term for all with the same questions answered. And what EM
 * wants of the students are two sums a question. So a round costs students × (questions + nodes), not their product.
 *
 * With a prior, the logarithm of each slope is normal around 0 (Mislevy, Psychometrika 51, 1986): what few answers leave open is
 * pulled towards a slope of one, and no slope grows without end or turns over. What is maximised is then the posterior.
 */
final readonly class Marginal
{
    private const NODES = 41;
    private const WIDEST = 6.0;
    /** Logarithm of a share that adds nothing to a sum of doubles. */
    private const NOTHING = -38.0;
    /** Under a prior no slope is flatter; its logarithm would have no end. */
    private const FLATTEST = 1e-4;

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
        private ?float $spread,
    ) {
    }

    /**
     * @param list<int>  $columns the questions that count
     * @param float|null $spread  standard deviation of the logarithms of the slopes; null for no prior
     */
    public static function of(Binary $data, array $columns, ?float $spread = null): self
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
            $spread,
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
     * What is maximised, and its slope in every parameter.
     *
     * @param list<float> $at
     *
     * @return array{float, list<float>}
     */
    public function slope(array $at): array
    {
        [$height, $weights, $abilities] = $this->expect($at);
        $slope = [...$abilities, ...array_map(floatval(...), $this->right)];
        foreach ($this->chances($at) as $i => $p) {
            foreach ($weights[$i] as $q => $w) {
                $slope[$i] -= $w * $p[$q] * $this->nodes[$q];
                $slope[$this->k + $i] -= $w * $p[$q];
            }
            if ($this->spread !== null) {
                $log = log(max(self::FLATTEST, $at[$i]));
                $height -= $log ** 2 / (2 * $this->spread ** 2);
                $slope[$i] -= $log / ($this->spread ** 2 * max(self::FLATTEST, $at[$i]));
            }
        }

        return [$height, array_values($slope)];
    }

    /**
     * The log-likelihood alone, without the prior.
     *
     * @param list<float> $at
     */
    public function likelihood(array $at): float
    {
        return $this->expect($at)[0];
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
            [$slope, $intercept] = [$this->spread === null ? $at[$i] : max(self::FLATTEST, $at[$i]), $at[$this->k + $i]];
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
                if ($this->spread !== null) {
                    // In the logarithm of the slope, which may be anything.
                    $ga = $slope * $ga - log($slope) / $this->spread ** 2;
                    $aa = $slope ** 2 * $aa + 1 / $this->spread ** 2;
                    $ad *= $slope;
                }
                $det = $aa * $dd - $ad * $ad;
                if ($det < 1e-12) {
                    break;
                }
                $da = max(-1.0, min(1.0, ($dd * $ga - $ad * $gd) / $det));
                $db = max(-1.0, min(1.0, ($aa * $gd - $ad * $ga) / $det));
                $slope = $this->spread === null ? $slope + $da : max(self::FLATTEST, $slope * exp($da));
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
     * The observed information: minus the second derivatives. By central differences of the slope, or, where students answered
     * different questions and that would take longer, from the scores (Louis, J. R. Statist. Soc. B 44, 1982). Both are the same.
     *
     * @param list<float> $at
     *
     * @return list<list<float>>
     */
    public function information(array $at): array
    {
        $byScores = $byDifferences = 0;
        foreach ($this->groups as ['items' => $items, 'patterns' => $patterns]) {
            $n = count($items);
            $byScores += count($patterns) * $n * $n * self::NODES / 2;
            $byDifferences += 4 * $this->k * ($n * 2 * self::NODES + count($patterns) * ($n + self::NODES));
        }

        return $byScores < $byDifferences ? $this->informationByScores($at) : $this->informationByDifferences($at);
    }

    /**
     * @param list<float> $at
     *
     * @return list<list<float>>
     */
    public function informationByDifferences(array $at): array
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
     * What is known if abilities were, less what is not known because they are not: the mean information of the answers, less the
     * variance of their scores over each student's posterior.
     *
     * @param list<float> $at
     *
     * @return list<list<float>>
     */
    public function informationByScores(array $at): array
    {
        $k = $this->k;
        $information = array_fill(0, 2 * $k, array_fill(0, 2 * $k, 0.0));
        $chances = $this->chances($at);
        $nodes = $this->nodes;
        $add = static function (int $i, int $j, float $tt, float $t, float $tj, float $one) use (&$information, $k): void {
            $information[$i][$j] += $tt;
            $information[$i][$k + $j] += $t;
            $information[$k + $i][$j] += $tj;
            $information[$k + $i][$k + $j] += $one;
        };
        [, $weights] = $this->expect($at, function (array $rows, float $mean, float $square, array $here, array $items, array $right) use (
            $add,
            $chances,
        ): void {
            foreach ($this->variances($here, $items, $right, $chances) as [$i, $j, $tt, $t, $tj, $one]) {
                $n = -count($rows);
                $add($i, $j, $n * $tt, $n * $t, $n * $tj, $n * $one);
            }
        });
        foreach ($weights as $i => $row) {
            $tt = $t = $one = 0.0;
            foreach ($row as $q => $w) {
                $v = $w * $chances[$i][$q] * (1 - $chances[$i][$q]);
                $one += $v;
                $t += $v * $nodes[$q];
                $tt += $v * $nodes[$q] ** 2;
            }
            if ($this->spread !== null) {
                $tt += (1 - log(max(self::FLATTEST, $at[$i]))) / ($this->spread ** 2 * max(self::FLATTEST, $at[$i]) ** 2);
            }
            $add($i, $i, $tt, $t, $t, $one);
        }
        // Only the upper half was gone through.
        for ($i = 0; $i < $k; ++$i) {
            for ($j = $i + 1; $j < $k; ++$j) {
                $information[$j][$i] = $information[$i][$j];
                $information[$k + $j][$k + $i] = $information[$k + $i][$k + $j];
                $information[$k + $j][$i] = $information[$i][$k + $j];
                $information[$j][$k + $i] = $information[$k + $i][$j];
            }
        }

        return array_values(array_map(array_values(...), $information));
    }

    /**
     * Over the posterior of a pattern, how the scores of each two questions vary together: slope with slope, slope with intercept,
     * intercept with slope, intercept with intercept.
     *
     * @param array<int, float> $here    weights of the nodes
     * @param list<int>         $items   the questions answered
     * @param list<int>         $right   those that are right
     * @param list<list<float>> $chances by question and node
     *
     * @return iterable<array{int, int, float, float, float, float}>
     */
    private function variances(array $here, array $items, array $right, array $chances): iterable
    {
        $has = array_fill_keys($right, true);
        $sum = array_sum($here);
        $residuals = $means = [];
        foreach ($items as $i) {
            $m = $mt = 0.0;
            foreach ($here as $q => $w) {
                $r = (isset($has[$i]) ? 1.0 : 0.0) - $chances[$i][$q];
                $residuals[$i][$q] = $r;
                $m += $w * $r;
                $mt += $w * $r * $this->nodes[$q];
            }
            $means[$i] = [$mt / $sum, $m / $sum];
        }
        foreach ($items as $place => $i) {
            [$mt, $m] = $means[$i];
            foreach (array_slice($items, $place) as $j) {
                $tt = $t = $one = 0.0;
                $other = $residuals[$j];
                foreach ($residuals[$i] as $q => $r) {
                    $v = $here[$q] * $r * $other[$q];
                    $one += $v;
                    $v *= $this->nodes[$q];
                    $t += $v;
                    $tt += $v * $this->nodes[$q];
                }
                [$ot, $o] = $means[$j];
                yield [$i, $j, $tt / $sum - $mt * $ot, $t / $sum - $mt * $o, $t / $sum - $m * $ot, $one / $sum - $m * $o];
            }
        }
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
     * @param (\Closure(list<int>, float, float, array<int, float>, list<int>, list<int>): void)|null $each told the students of a pattern, their mean ability and its mean square, the weights of their nodes, the questions answered, and those that are right
     *
     * @return array{float, list<list<float>>, list<float>} log-likelihood; students expected at each node, by question; sum of the expected abilities of those who have it right, by question
     */
    private function expect(array $at, ?\Closure $each = null): array
    {
        $k = $this->k;
        $wrong = $this->logWrong($at);
        $weights = array_fill(0, $k, array_fill(0, self::NODES, 0.0));
        $abilities = array_fill(0, $k, 0.0);
        $likelihood = 0.0;
        $nodes = $this->nodes;
        $peak = intdiv(self::NODES, 2);
        foreach ($this->groups as ['items' => $items, 'patterns' => $patterns]) {
            $base = $this->logPrior;
            foreach ($items as $i) {
                foreach ($wrong[$i] as $q => $log) {
                    $base[$q] += $log;
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
                    $each($rows, $mean, $square / $sum, $here, $items, $right);
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
                $row[] = 1 / (1 + exp(-$at[$i] * $t - $at[$this->k + $i]));
            }
            $chances[] = $row;
        }

        return $chances;
    }

    /**
     * Exact however steep the curve: log(1 − p) = −softplus(z), of which nothing is cut off.
     *
     * @param list<float> $at
     *
     * @return list<list<float>> logarithm of the chance of a wrong answer, by question and node
     */
    private function logWrong(array $at): array
    {
        $logs = [];
        for ($i = 0; $i < $this->k; ++$i) {
            $row = [];
            foreach ($this->nodes as $t) {
                $z = $at[$i] * $t + $at[$this->k + $i];
                $row[] = -max(0.0, $z) - log1p(exp(-abs($z)));
            }
            $logs[] = $row;
        }

        return $logs;
    }
}
