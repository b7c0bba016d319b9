<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * How far markers agree on units that two or more of them marked, with ordered levels and missing cells.
 *
 * Exact and adjacent share, and Cohen's κ (Educational and Psychological Measurement 20, 1960; weighted: Psychological
 * Bulletin 70, 1968) as the mean over all pairs of markers, each over the units that both marked. Krippendorff's α from
 * the coincidence matrix ("Computing Krippendorff's Alpha-Reliability", 2011). ICC(2,1) of Shrout & Fleiss
 * (Psychological Bulletin 86, 1979) over the units that all marked.
 */
final readonly class Agreement
{
    /** Fewer units say nothing of how much another draw of them would differ. */
    private const LEAST_UNITS = 5;
    private const LEAST_FREEDOM = 1e-3;

    /**
     * @param list<float>                  $levels in rising order
     * @param list<array<int, float>>      $units  the mark of each marker, by the marker's place; missing ones left out
     */
    public function __construct(private array $levels, private int $markers, private array $units)
    {
    }

    /** Share of pairs of marks, on the same unit, that differ by at most so many levels. */
    public function share(int $levels): Figure
    {
        $formula = $levels === 0
            ? 'Share of pairs of marks on the same unit that are equal.'
            : 'Share of pairs of marks on the same unit that differ by one level at most.';
        $units = [];
        foreach ($this->units as $unit) {
            $places = array_values(array_map($this->place(...), $unit));
            $near = $all = 0;
            foreach ($places as $i => $a) {
                foreach (array_slice($places, $i + 1) as $b) {
                    ++$all;
                    $near += abs($a - $b) <= $levels ? 1 : 0;
                }
            }
            if ($all > 0) {
                $units[] = [(float) $near, (float) $all];
            }
        }
        $all = (int) array_sum(array_column($units, 1));
        // Two markers give one pair a unit. With three and more the pairs of a unit hang together, so the units carry the interval.
        $interval = $all === count($units) && $all > 0
            ? Intervals::wilson((float) array_sum(array_column($units, 0)), $all)
            : Intervals::clustered($units);

        return $interval === null ? Figure::missing(0, $formula, 'No unit has two marks.') : new Figure(
            array_sum(array_column($units, 0)) / $all,
            $all,
            $formula,
            $interval[0],
            $interval[1],
            Figure::few(count($units)),
        );
    }

    /** @param 'none'|'linear'|'quadratic' $weights */
    public function kappa(string $weights = 'none'): Figure
    {
        $formula = 'Cohen’s κ: (observed − chance agreement) / (1 − chance agreement)'
            .($weights === 'none' ? '' : ", disagreement weighed by the $weights distance of the levels")
            .'; the mean over pairs of markers.';
        $sum = 0.0;
        $pairs = $n = 0;
        for ($a = 0; $a < $this->markers; ++$a) {
            for ($b = $a + 1; $b < $this->markers; ++$b) {
                $kappa = $this->kappaOf($a, $b, $weights);
                if ($kappa !== null) {
                    $sum += $kappa[0];
                    ++$pairs;
                    $n += $kappa[1];
                }
            }
        }

        return $pairs === 0 ? Figure::missing(
            $n,
            $formula,
            'No two markers both used more than one level on common units.',
        ) : new Figure($sum / $pairs, $n, $formula);
    }

    /** @param 'nominal'|'ordinal'|'interval' $metric */
    public function alpha(string $metric): Figure
    {
        $formula = "Krippendorff’s α: 1 − observed / expected disagreement, $metric metric, over all pairable marks.";
        $k = count($this->levels);
        $pairs = array_fill(0, $k, array_fill(0, $k, 0.0));
        foreach ($this->units as $unit) {
            $m = count($unit);
            if ($m < 2) {
                continue;
            }
            $places = array_values(array_map($this->place(...), $unit));
            foreach ($places as $i => $c) {
                foreach ($places as $j => $d) {
                    if ($i !== $j) {
                        $pairs[$c][$d] += 1 / ($m - 1);
                    }
                }
            }
        }
        $margins = array_map(array_sum(...), $pairs);
        $n = array_sum($margins);
        $observed = $expected = 0.0;
        for ($c = 0; $c < $k; ++$c) {
            for ($d = 0; $d < $k; ++$d) {
                $distance = $this->distance($metric, $c, $d, $margins);
                $observed += $pairs[$c][$d] * $distance;
                $expected += $margins[$c] * $margins[$d] * $distance;
            }
        }
        if ($n < 2 || $expected <= 0.0) {
            return Figure::missing(
                (int) round($n),
                $formula,
                $n < 2 ? 'No unit has two marks.' : 'All marks are the same, so nothing can be told of agreement.',
            );
        }

        return new Figure(1 - ($n - 1) * $observed / $expected, (int) round($n), $formula);
    }

    public function icc(): Figure
    {
        $formula = 'ICC(2,1): two-way random effects, absolute agreement, a single marker; over the units that all marked.';
        $full = array_values(array_filter($this->units, fn (array $u): bool => count($u) === $this->markers));
        $n = count($full);
        $k = $this->markers;
        if ($n < 2 || $k < 2) {
            return Figure::missing($n, $formula, 'At least two units marked by all of at least two markers are needed.');
        }
        $grand = array_sum(array_map(array_sum(...), $full)) / ($n * $k);
        $rows = $columns = $total = 0.0;
        foreach ($full as $unit) {
            $rows += $k * (array_sum($unit) / $k - $grand) ** 2;
            foreach ($unit as $mark) {
                $total += ($mark - $grand) ** 2;
            }
        }
        for ($j = 0; $j < $k; ++$j) {
            $columns += $n * (array_sum(array_column($full, $j)) / $n - $grand) ** 2;
        }
        $bms = $rows / ($n - 1);
        $jms = $columns / ($k - 1);
        $ems = max(0.0, $total - $rows - $columns) / (($n - 1) * ($k - 1));
        $below = $bms + ($k - 1) * $ems + $k * ($jms - $ems) / $n;

        if ($below < 1e-12) {
            return Figure::missing($n, $formula, 'All marks are the same, so nothing can be told of agreement.');
        }
        $interval = self::iccInterval(($bms - $ems) / $below, $bms, $jms, $ems, $n, $k);

        return new Figure(
            ($bms - $ems) / $below,
            $n,
            $formula.' 95 % interval by F.',
            $interval[0] ?? null,
            $interval[1] ?? null,
            Figure::few($n),
        );
    }

    /**
     * A figure of this class with a 95 % interval by bootstrap over the units (percentiles; Efron & Tibshirani 1993, ch. 13).
     * The same seed gives the same interval.
     *
     * @param \Closure(self): Figure $of such as `fn (Agreement $a) => $a->kappa('linear')`
     */
    public function bootstrapped(\Closure $of, string $seed, int $rounds = 1000): Figure
    {
        $figure = $of($this);
        $n = count($this->units);
        if ($figure->value === null || $n < self::LEAST_UNITS) {
            return $figure;
        }
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'bootstrap|'.$seed, true)));
        $values = [];
        for ($round = 0; $round < $rounds; ++$round) {
            $drawn = [];
            for ($i = 0; $i < $n; ++$i) {
                $drawn[] = $this->units[$random->getInt(0, $n - 1)];
            }
            $value = $of(new self($this->levels, $this->markers, $drawn))->value;
            if ($value !== null) {
                $values[] = $value;
            }
        }

        return count($values) < 0.9 * $rounds
            ? $figure
            : new Figure(
                $figure->value,
                $figure->n,
                $figure->formula.' 95 % interval by bootstrap over the units.',
                Sample::quantile($values, 0.025),
                Sample::quantile($values, 0.975),
                Figure::few($n, 20),
            );
    }

    /**
     * Source: Shrout & Fleiss 1979, p. 424.
     *
     * @return array{float, float}|null
     */
    private static function iccInterval(float $rho, float $bms, float $jms, float $ems, int $n, int $k): ?array
    {
        if ($ems <= 0.0) {
            return null;
        }
        $fj = $jms / $ems;
        $spread = $n * (1 + ($k - 1) * $rho) - $k * $rho;
        $under = ($n - 1) * $k * $k * $rho * $rho * $fj * $fj + $spread ** 2;
        if ($under <= 0.0) {
            return null;
        }
        $freedom = ($k - 1) * ($n - 1) * ($k * $rho * $fj + $spread) ** 2 / $under;
        // Where the markers differ by nothing but chance, there may be no freedom left to tell an interval by.
        if (!is_finite($freedom) || $freedom < self::LEAST_FREEDOM) {
            return null;
        }
        $up = Curves::fQuantile(0.975, $n - 1, $freedom);
        $down = Curves::fQuantile(0.975, $freedom, $n - 1);
        $rest = $k * $jms + ($k * $n - $k - $n) * $ems;

        [$lowUnder, $highUnder] = [$up * $rest + $n * $bms, $rest + $n * $down * $bms];
        if (abs($lowUnder) < 1e-12 || abs($highUnder) < 1e-12) {
            return null;
        }

        return [max(-1.0, $n * ($bms - $up * $ems) / $lowUnder), min(1.0, $n * ($down * $bms - $ems) / $highUnder)];
    }

    /** @return array{float, int}|null κ of two markers, and the units that both marked */
    private function kappaOf(int $a, int $b, string $weights): ?array
    {
        $k = count($this->levels);
        $table = array_fill(0, $k, array_fill(0, $k, 0));
        $common = 0;
        foreach ($this->units as $unit) {
            if (isset($unit[$a], $unit[$b])) {
                ++$table[$this->place($unit[$a])][$this->place($unit[$b])];
                ++$common;
            }
        }
        if ($common === 0) {
            return null;
        }
        $rows = array_map(array_sum(...), $table);
        $columns = array_map(static fn (int $j): int => array_sum(array_column($table, $j)), range(0, $k - 1));
        $observed = $chance = 0.0;
        foreach ($table as $i => $row) {
            foreach ($row as $j => $count) {
                $cost = match ($weights) {
                    'linear' => abs($i - $j) / max(1, $k - 1),
                    'quadratic' => (abs($i - $j) / max(1, $k - 1)) ** 2,
                    default => $i === $j ? 0.0 : 1.0,
                };
                $observed += $cost * $count / $common;
                $chance += $cost * $rows[$i] * $columns[$j] / ($common * $common);
            }
        }

        return $chance <= 0.0 ? null : [1 - $observed / $chance, $common];
    }

    /** @param list<float> $margins */
    private function distance(string $metric, int $c, int $d, array $margins): float
    {
        if ($c === $d) {
            return 0.0;
        }
        if ($metric === 'nominal') {
            return 1.0;
        }
        if ($metric === 'interval') {
            return ($this->levels[$c] - $this->levels[$d]) ** 2;
        }
        [$low, $high] = [min($c, $d), max($c, $d)];
        $between = array_sum(array_slice($margins, $low, $high - $low + 1));

        return ($between - ($margins[$c] + $margins[$d]) / 2) ** 2;
    }

    private function place(float $mark): int
    {
        foreach ($this->levels as $i => $level) {
            if (abs($level - $mark) < 1e-9) {
                return $i;
            }
        }
        throw new \DomainException(sprintf('%s is not one of the levels.', $mark));
    }
}
