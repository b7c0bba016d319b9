<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis\Model;

/**
 * The two-parameter logistic model, P(right) = 1 / (1 + e^−(slope · θ + intercept)), θ standard normal, by marginal
 * maximum likelihood with the EM algorithm (Bock & Aitkin, Psychometrika 46, 1981) on 41 equally spaced nodes from −6 to
 * 6. EM is quickened by squared extrapolation (Varadhan & Roland, Scand. J. Statist. 35, 2008), which is taken back
 * where it does not climb, and finished by Newton's method on the same likelihood. Standard errors from the observed
 * information.
 *
 * By itself the logarithm of a slope has a normal prior around 0 with a standard deviation of 0.5 (Mislevy, Psychometrika 51,
 * 1986), which a few dozen answers outweigh; without it this is plain maximum likelihood.
 */
final readonly class TwoParameter
{
    public const FORMULA = 'Two-parameter logistic model by marginal maximum likelihood, ability standard normal; slope in logits, with a weak log-normal prior (Mislevy 1986).';
    public const PRIOR = 0.5;
    private const MOST_ROUNDS = 2000;
    private const CLOSE = 1e-6;
    /** A slope beyond this only follows a few answers. */
    private const STEEPEST = 15.0;
    /** A slope below this says that knowing more hardly helps. */
    private const FLAT = 0.3;

    /**
     * @param list<array{id: string, slope: float|null, intercept: float|null, difficulty: float|null, se: array{slope: float|null, intercept: float|null}, note: string|null}> $questions
     * @param list<float>                                                                                                                                                  $abilities     of each student: mean of the posterior (EAP; Bock & Mislevy 1982)
     * @param list<float>                                                                                                                                                  $abilityErrors its standard deviation
     * @param list<LocalDependence>                                                                                                                                        $dependent     pairs of questions that hang together beyond ability
     */
    private function __construct(
        public array $questions,
        public array $abilities,
        public array $abilityErrors,
        public int $n,
        public float $logLikelihood,
        public int $rounds,
        public ?string $note,
        public array $dependent,
    ) {
    }

    /** @param float|null $prior standard deviation of the logarithms of the slopes; null for plain maximum likelihood */
    public static function of(Binary $data, ?float $prior = self::PRIOR): self
    {
        $columns = self::varying($data);
        $n = count($data->rows);
        $none = static fn (string $id, string $why): array => [
            'id' => $id,
            'slope' => null,
            'intercept' => null,
            'difficulty' => null,
            'se' => ['slope' => null, 'intercept' => null],
            'note' => $why,
        ];
        if (count($columns) < 3 || $n < 2) {
            return new self(
                array_map(static fn (string $id): array => $none($id, 'Too little to tell slopes apart.'), $data->ids),
                array_fill(0, $n, 0.0),
                array_fill(0, $n, 1.0),
                $n,
                0.0,
                0,
                'At least three questions are needed that some have right and some wrong.',
                [],
            );
        }
        $marginal = Marginal::of($data, $columns, $prior);
        [$at, $inverse, $rounds, $note] = self::fit($marginal);
        $k = count($columns);
        $place = array_flip($columns);
        $questions = [];
        foreach ($data->ids as $c => $id) {
            $i = $place[$c] ?? null;
            if ($i === null) {
                $questions[] = $none($id, 'All who answered it have the same.');

                continue;
            }
            [$slope, $intercept] = [$at[$i], $at[$k + $i]];
            $questions[] = [
                'id' => $id, 'slope' => $slope, 'intercept' => $intercept, 'difficulty' => abs($slope) < 1e-6 ? null : -$intercept / $slope,
                'se' => [
                    'slope' => $inverse === null ? null : sqrt(max(0.0, $inverse[$i][$i])),
                    'intercept' => $inverse === null ? null : sqrt(max(0.0, $inverse[$k + $i][$k + $i])),
                ],
                'note' => match (true) {
                    $slope < 0 => 'Who knows more is less often right here.',
                    $slope < self::FLAT => 'Who knows more is hardly more often right here.',
                    default => null,
                },
            ];
        }
        [$abilities, $errors] = $marginal->abilities($at, $n);

        return new self(
            $questions,
            $abilities,
            $errors,
            $n,
            $marginal->likelihood($at),
            $rounds,
            $note ?? ($inverse === null ? 'The likelihood is flat at its top, so standard errors cannot be told.' : null),
            LocalDependence::of($data, $columns, $at, $abilities),
        );
    }

    /** @return list<int> the questions that some have right and some wrong */
    private static function varying(Binary $data): array
    {
        return array_values(array_filter(
            array_keys($data->ids),
            static fn (int $c): bool => count(array_unique(array_filter(
                array_column($data->rows, $c),
                static fn (?int $x): bool => $x !== null,
            ))) === 2,
        ));
    }

    /** @return array{list<float>, list<list<float>>|null, int, string|null} slopes then intercepts, their covariances, rounds, what is wrong */
    private static function fit(Marginal $marginal): array
    {
        $at = $marginal->start();
        $likelihood = -INF;
        $rounds = 0;
        while ($rounds < self::MOST_ROUNDS) {
            $first = $marginal->better($at);
            $second = $marginal->better($first);
            $rounds += 2;
            $step = $bend = $move = 0.0;
            foreach ($at as $j => $v) {
                $r = $first[$j] - $v;
                $w = $second[$j] - $first[$j] - $r;
                $step += $r * $r;
                $bend += $w * $w;
                $move = max($move, abs($second[$j] - $first[$j]));
            }
            $alpha = $bend > 0.0 ? -min(64.0, max(1.0, sqrt($step / $bend))) : -1.0;
            $leap = [];
            foreach ($at as $j => $v) {
                $r = $first[$j] - $v;
                $leap[] = $v - 2 * $alpha * $r + $alpha * $alpha * ($second[$j] - $first[$j] - $r);
            }
            $next = $alpha < -1.0 ? $marginal->better($leap) : $second;
            $reached = $marginal->slope($next)[0];
            if ($reached < $likelihood || is_nan($reached)) {
                $next = $second;
                $reached = $marginal->slope($next)[0];
            }
            [$at, $likelihood] = [$next, $reached];
            if ($move < self::CLOSE || self::tooSteep($at)) {
                break;
            }
        }
        if (self::tooSteep($at)) {
            return [$at, null, $rounds, 'A slope grows without end: too few students for this model.'];
        }
        // One step of Newton's takes six digits to twelve; the information hardly moves with it.
        $inverse = Symmetric::inverse($marginal->information($at));
        if ($inverse !== null) {
            $next = array_map(static fn (float $v, float $s): float => $v + $s, $at, Symmetric::times($inverse, $marginal->slope($at)[1]));
            $reached = $marginal->slope($next)[0];
            ++$rounds;
            if ($reached >= $likelihood - 1e-9 * abs($likelihood)) {
                $at = $next;
            }
        }

        return [$at, $inverse, $rounds, $rounds >= self::MOST_ROUNDS ? 'The estimates have not come to rest.' : null];
    }

    /** @param list<float> $at */
    private static function tooSteep(array $at): bool
    {
        foreach (array_slice($at, 0, intdiv(count($at), 2)) as $slope) {
            if (abs($slope) > self::STEEPEST || is_nan($slope)) {
                return true;
            }
        }

        return false;
    }
}
