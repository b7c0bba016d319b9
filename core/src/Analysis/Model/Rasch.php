<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * The Rasch model, P(right) = 1 / (1 + e^(difficulty − ability)), by conditional maximum likelihood: what a student's
 * score says of their ability is taken out, so the difficulties do not depend on who sat (Andersen 1972). Difficulties
 * sum to zero; standard errors from the inverse information under that condition. Infit and outfit: mean squares of
 * Wright & Masters (1982), over students with abilities by maximum likelihood at their score.
 */
final readonly class Rasch
{
    public const FORMULA = 'Rasch model by conditional maximum likelihood; difficulties in logits, their mean is zero.';
    private const MOST_ROUNDS = 60;
    private const CLOSE = 1e-9;
    /** Logits beyond which a difficulty only follows a nearly empty cell. */
    private const FARTHEST = 12.0;

    /**
     * @param list<array{id: string, difficulty: float|null, se: float|null, infit: float|null, outfit: float|null, note: string|null}> $questions
     * @param list<float|null>                                                                                                         $abilities     of each student; null with zero or full score
     * @param list<float|null>                                                                                                         $abilityErrors
     * @param int                                                                                                                      $n             students
     * @param int                                                                                                                      $counted       of them, with neither zero nor full score
     */
    private function __construct(
        public array $questions,
        public array $abilities,
        public array $abilityErrors,
        public int $n,
        public int $counted,
        public float $logLikelihood,
        public int $rounds,
        public ?string $note,
    ) {
    }

    public static function of(Binary $data): self
    {
        ['rows' => $rows, 'columns' => $columns] = $data->informative();
        $n = count($data->rows);
        $k = count($columns);
        if ($k < 2 || $rows === []) {
            return new self(
                array_map(
                    static fn (string $id): array => [
                        'id' => $id,
                        'difficulty' => null,
                        'se' => null,
                        'infit' => null,
                        'outfit' => null,
                        'note' => 'Nothing tells this question from the others.',
                    ],
                    $data->ids,
                ),
                array_fill(0, $n, null),
                array_fill(0, $n, null),
                $n,
                count($rows),
                0.0,
                0,
                'At least two questions are needed that some have right and some wrong.',
            );
        }
        $groups = self::groups($data, $rows, $columns);
        $right = array_fill(0, $k, 0.0);
        foreach ($rows as $r) {
            foreach ($columns as $i => $c) {
                $right[$i] += (float) $data->rows[$r][$c];
            }
        }
        [$difficulty, $inverse, $likelihood, $rounds, $note] = self::fit($groups, array_values($right), $k);
        $errors = array_map(static fn (array $row, int $i): float => sqrt(max(0.0, $row[$i] - 1 / $k)), $inverse, array_keys($inverse));
        [$abilities, $abilityErrors] = self::abilities($data, $columns, $difficulty);
        [$infit, $outfit] = self::fits($data, $rows, $columns, $difficulty, $abilities);
        $questions = [];
        $place = array_flip($columns);
        foreach ($data->ids as $c => $id) {
            $i = $place[$c] ?? null;
            $questions[] = $i === null
                ? ['id' => $id, 'difficulty' => null, 'se' => null, 'infit' => null, 'outfit' => null, 'note' => self::constant($data, $c)]
                : [
                    'id' => $id,
                    'difficulty' => $difficulty[$i],
                    'se' => $note === null ? $errors[$i] : null,
                    'infit' => $infit[$i],
                    'outfit' => $outfit[$i],
                    'note' => null,
                ];
        }

        return new self($questions, $abilities, $abilityErrors, $n, count($rows), $likelihood, $rounds, $note);
    }

    /**
     * Students with the same questions answered, counted by score.
     *
     * @param list<int> $rows
     * @param list<int> $columns
     *
     * @return list<array{items: list<int>, counts: array<int, int>}> items: places among the columns
     */
    private static function groups(Binary $data, array $rows, array $columns): array
    {
        $groups = [];
        foreach ($rows as $r) {
            $items = [];
            $score = 0;
            foreach ($columns as $i => $c) {
                $x = $data->rows[$r][$c];
                if ($x !== null) {
                    $items[] = $i;
                    $score += $x;
                }
            }
            $key = count($items) === count($columns) ? '' : implode(',', $items);
            $groups[$key]['items'] ??= $items;
            $groups[$key]['counts'][$score] = ($groups[$key]['counts'][$score] ?? 0) + 1;
        }

        return array_values($groups);
    }

    /**
     * Newton's method on the conditional likelihood. The information is worked out anew only while the steps are long.
     *
     * @param list<array{items: list<int>, counts: array<int, int>}> $groups
     * @param list<float>                                            $right  how often each question was right
     *
     * @return array{list<float>, list<list<float>>, float, int, string|null} difficulties, inverse information, log-likelihood, rounds
     */
    private static function fit(array $groups, array $right, int $k): array
    {
        $n = 0;
        foreach ($groups as $group) {
            $n += array_sum($group['counts']);
        }
        $difficulty = array_map(static fn (float $s): float => log(($n - $s + 0.5) / ($s + 0.5)), $right);
        $difficulty = self::centred($difficulty);
        $inverse = [];
        $fresh = false;
        [$likelihood, $slope] = self::slope($groups, $right, $difficulty);
        $size = self::largest($slope);
        $rounds = 0;
        while ($size > self::CLOSE * max(1, $n) && $rounds < self::MOST_ROUNDS) {
            if (!$fresh) {
                $inverse = self::inverse($groups, $difficulty, $k);
                $fresh = true;
            }
            ++$rounds;
            $step = Symmetric::times($inverse, $slope);
            $length = 1.0;
            do {
                $next = self::centred(array_map(static fn (float $d, float $s): float => $d + $length * $s, $difficulty, $step));
                [$better, $nextSlope] = self::slope($groups, $right, $next);
                $length /= 2;
            } while ($better < $likelihood - 1e-9 * abs($likelihood) && $length > 1e-4);
            $nextSize = self::largest($nextSlope);
            $fresh = $nextSize < 0.1 * $size;
            [$difficulty, $likelihood, $slope, $size] = [$next, $better, $nextSlope, $nextSize];
            if (self::largest($difficulty) > self::FARTHEST) {
                break;
            }
        }
        $far = self::largest($difficulty) > self::FARTHEST;

        return [
            $difficulty,
            self::inverse($groups, $difficulty, $k),
            $likelihood,
            $rounds,
            $far || $size > 1e-5 * max(1, $n)
                ? 'The answers fall into parts that nothing ties together, so no finite difficulties fit best.'
                : null,
        ];
    }

    /**
     * Conditional log-likelihood and its slope in the difficulties.
     *
     * @param list<array{items: list<int>, counts: array<int, int>}> $groups
     * @param list<float>                                            $right
     * @param list<float>                                            $difficulty
     *
     * @return array{float, list<float>}
     */
    private static function slope(array $groups, array $right, array $difficulty): array
    {
        $slope = array_map(static fn (float $s): float => -$s, $right);
        $likelihood = 0.0;
        foreach ($difficulty as $i => $d) {
            $likelihood -= $d * $right[$i];
        }
        foreach ($groups as ['items' => $items, 'counts' => $counts]) {
            $p = array_map(static fn (int $i): float => 1 / (1 + exp($difficulty[$i])), $items);
            $all = ScoreChances::all($p);
            $scale = 0.0;
            foreach ($items as $i) {
                $scale += log1p(exp(-$difficulty[$i]));
            }
            foreach ($counts as $r => $count) {
                $likelihood -= $count * (log($all[$r]) + $scale);
            }
            foreach (ScoreChances::withoutEach($p) as $j => $without) {
                $expected = 0.0;
                foreach ($counts as $r => $count) {
                    $expected += $count * $without[$r - 1] / $all[$r];
                }
                $slope[$items[$j]] += $expected * $p[$j];
            }
        }

        return [$likelihood, array_values($slope)];
    }

    /**
     * The inverse of the information, with 1/k added everywhere: the information itself says nothing of a shift of all.
     *
     * @param list<array{items: list<int>, counts: array<int, int>}> $groups
     * @param list<float>                                            $difficulty
     *
     * @return list<list<float>>
     */
    private static function inverse(array $groups, array $difficulty, int $k): array
    {
        $information = array_fill(0, $k, array_fill(0, $k, 1 / $k));
        foreach ($groups as ['items' => $items, 'counts' => $counts]) {
            $p = array_map(static fn (int $i): float => 1 / (1 + exp($difficulty[$i])), $items);
            $all = ScoreChances::all($p);
            $weights = [];
            foreach ($counts as $r => $count) {
                $weights[$r] = $count / $all[$r];
            }
            $each = ScoreChances::withoutEach($p);
            $single = [];
            foreach ($items as $a => $i) {
                foreach ($counts as $r => $count) {
                    $single[$a][$r] = $p[$a] * $each[$a][$r - 1] / $all[$r];
                    $information[$i][$i] += $count * $single[$a][$r];
                }
            }
            $m = count($items);
            foreach ($items as $a => $i) {
                $others = $p;
                array_splice($others, $a, 1);
                $without = $m > 1 ? ScoreChances::withoutEach($others) : [];
                for ($b = 0; $b <= $a; ++$b) {
                    $both = 0.0;
                    if ($b < $a) {
                        foreach ($weights as $r => $weight) {
                            $both += $r < 2 ? 0.0 : $weight * $without[$b][$r - 2];
                        }
                        $both *= $p[$a] * $p[$b];
                    }
                    foreach ($counts as $r => $count) {
                        $both -= $count * $single[$a][$r] * $single[$b][$r];
                    }
                    $j = $items[$b];
                    $information[$i][$j] += $both;
                    if ($j !== $i) {
                        $information[$j][$i] += $both;
                    }
                }
            }
        }

        return Symmetric::inverse(array_values(array_map(array_values(...), $information))) ?? array_fill(0, $k, array_fill(0, $k, 0.0));
    }

    /**
     * Maximum likelihood at each score; a student with all or nothing has none.
     *
     * @param list<int>   $columns
     * @param list<float> $difficulty
     *
     * @return array{list<float|null>, list<float|null>} abilities and their standard errors
     */
    private static function abilities(Binary $data, array $columns, array $difficulty): array
    {
        $known = $abilities = $errors = [];
        foreach ($data->rows as $row) {
            $items = [];
            $score = 0;
            foreach ($columns as $i => $c) {
                if ($row[$c] !== null) {
                    $items[] = $i;
                    $score += $row[$c];
                }
            }
            $key = $score.'|'.(count($items) === count($columns) ? '' : implode(',', $items));
            $known[$key] ??= $score === 0 || $score === count($items) ? [null, null] : self::ability(
                array_map(static fn (int $i): float => $difficulty[$i], $items),
                $score,
            );
            $abilities[] = $known[$key][0];
            $errors[] = $known[$key][1];
        }

        return [$abilities, $errors];
    }

    /**
     * @param list<float> $difficulties
     *
     * @return array{float, float}
     */
    private static function ability(array $difficulties, int $score): array
    {
        $ability = log($score / (count($difficulties) - $score)) + array_sum($difficulties) / max(1, count($difficulties));
        $information = 1.0;
        for ($round = 0; $round < 100; ++$round) {
            $expected = $information = 0.0;
            foreach ($difficulties as $d) {
                $p = 1 / (1 + exp($d - $ability));
                $expected += $p;
                $information += $p * (1 - $p);
            }
            $step = max(-1.0, min(1.0, ($score - $expected) / $information));
            $ability += $step;
            if (abs($step) < 1e-11) {
                break;
            }
        }

        return [$ability, 1 / sqrt($information)];
    }

    /**
     * @param list<int>        $rows
     * @param list<int>        $columns
     * @param list<float>      $difficulty
     * @param list<float|null> $abilities
     *
     * @return array{list<float>, list<float>} infit and outfit mean squares
     */
    private static function fits(Binary $data, array $rows, array $columns, array $difficulty, array $abilities): array
    {
        $infit = $outfit = [];
        foreach ($columns as $i => $c) {
            $squares = $variances = $standard = 0.0;
            $n = 0;
            foreach ($rows as $r) {
                $x = $data->rows[$r][$c];
                $ability = $abilities[$r];
                if ($x === null || $ability === null) {
                    continue;
                }
                $p = 1 / (1 + exp($difficulty[$i] - $ability));
                $residual = ($x - $p) ** 2;
                $squares += $residual;
                $variances += $p * (1 - $p);
                $standard += $residual / ($p * (1 - $p));
                ++$n;
            }
            $infit[] = $squares / $variances;
            $outfit[] = $standard / max(1, $n);
        }

        return [$infit, $outfit];
    }

    private static function constant(Binary $data, int $column): string
    {
        $seen = array_unique(array_filter(array_column($data->rows, $column), static fn (?int $x): bool => $x !== null));

        return match (true) {
            $seen === [] => 'Nobody answered it.',
            array_values($seen) === [1] => 'All who answered it have it right.',
            array_values($seen) === [0] => 'All who answered it have it wrong.',
            default => 'Among those who have neither all nor nothing right, it is the same for all.',
        };
    }

    /** @param list<float> $x */
    private static function largest(array $x): float
    {
        $most = 0.0;
        foreach ($x as $v) {
            $most = max($most, abs($v));
        }

        return $most;
    }

    /**
     * @param list<float> $x
     *
     * @return list<float>
     */
    private static function centred(array $x): array
    {
        $mean = array_sum($x) / max(1, count($x));

        return array_map(static fn (float $v): float => $v - $mean, $x);
    }
}
