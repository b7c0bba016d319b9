<?php

declare(strict_types=1);

/*
 * How well the flags and intervals of the results do on simulated classes whose truth is known: how often a flag finds what it
 * looks for, how often it speaks without cause, and how often a 95 % interval holds the true value. Writes docs/measurement.md.
 * Called by `bin/bench flags`.
 */

use ChalkLadder\Core\Analysis\Agreement;
use ChalkLadder\Core\Analysis\Evidence;
use ChalkLadder\Core\Analysis\Flag;
use ChalkLadder\Core\Analysis\Intervals;
use ChalkLadder\Core\Analysis\Model\Binary;
use ChalkLadder\Core\Analysis\Model\Rasch;
use ChalkLadder\Core\Analysis\PersonFit;
use ChalkLadder\Core\Analysis\Report;
use ChalkLadder\Core\Analysis\SkillShare;
use ChalkLadder\Core\Analysis\Speed;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

require dirname(__DIR__, 3).'/vendor/autoload.php';
require __DIR__.'/SimulatedClass.php';

const SEED = 'flags';
const SIZES = [12, 28, 84];
const CLASSES = 600;
const DRAWS = 3000;
/** A question that fewer know is hard to tell from one with two readings: its wrong answers crowd on one option too. */
const KNOWN_BY_SOME = 0.35;

$random = static fn (string $part): Randomizer => new Randomizer(new Xoshiro256StarStar(hash('sha256', SEED.'|'.$part, true)));
$percent = static fn (float $share): string => sprintf('%.1f %%', 100 * $share);

/** @return array<string, array{found: float, false: float, known: float|null}> by flag */
$flags = static function (int $n) use ($random): array {
    $looked = [Flag::MIS_KEYED => 'mis-keyed', Flag::TWO_READINGS => 'two readings', Flag::IDLE => 'idle'];
    $tally = array_fill_keys(array_keys($looked), ['bad' => 0, 'found' => 0, 'sound' => 0, 'false' => 0, 'known' => 0, 'falseKnown' => 0]);
    $chance = $random("flags $n");
    for ($c = 0; $c < CLASSES; ++$c) {
        foreach ($looked as $flag => $kind) {
            // One bad question of a kind among nineteen sound ones.
            $class = new SimulatedClass($chance, $n);
            $questions = [];
            for ($q = 0; $q < 20; ++$q) {
                $questions[] = $class->question('q'.$q, $q === 0 ? $kind : 'sound');
            }
            foreach (Report::of($questions, $n)->questions as $q => $report) {
                $speaks = in_array($flag, array_column($report->flags, 'kind'), true) ? 1 : 0;
                if ($q === 0) {
                    ++$tally[$flag]['bad'];
                    $tally[$flag]['found'] += $speaks;
                } else {
                    $known = $report->facility->value >= KNOWN_BY_SOME ? 1 : 0;
                    ++$tally[$flag]['sound'];
                    $tally[$flag]['false'] += $speaks;
                    $tally[$flag]['known'] += $known;
                    $tally[$flag]['falseKnown'] += $known * $speaks;
                }
            }
        }
    }

    return array_map(static fn (array $t): array => [
        'found' => $t['found'] / $t['bad'], 'false' => $t['false'] / $t['sound'], 'known' => $t['falseKnown'] / max(1, $t['known']),
    ], $tally);
};

/** @return array{found: float, false: float} the flag rushed: a fifth of the class answers in two to four seconds, or nobody does */
$rushed = static function (int $n) use ($random): array {
    $class = new SimulatedClass($random("rushed $n"), 1);
    $speaks = static function (float $share) use ($class, $n): float {
        $hits = 0;
        for ($c = 0; $c < CLASSES; ++$c) {
            $seconds = [];
            for ($s = 0; $s < $n; ++$s) {
                $seconds[] = $class->uniform() < $share ? 2 + 2 * $class->uniform() : 40 * exp(0.5 * $class->normal());
            }
            $hits += Speed::flag($seconds) === null ? 0 : 1;
        }

        return $hits / CLASSES;
    };

    return ['found' => $speaks(0.2), 'false' => $speaks(0.0)];
};

/** @return array{found: float, false: float} l_z* below −2: a student who tosses a coin on all of 30 questions, or one who works */
$persons = static function (int $n) use ($random): array {
    $class = new SimulatedClass($random("persons $n"), 1);
    $difficulty = array_map(static fn (int $i): float => -2 + 4 * $i / 29, range(0, 29));
    $found = $false = $odd = $usual = 0;
    for ($c = 0; $c < intdiv(CLASSES * 12, $n); ++$c) {
        $rows = [];
        for ($s = 0; $s < $n; ++$s) {
            $ability = $class->normal();
            $rows[] = array_map(
                static fn (float $d): int => $class->uniform() < ($s === 0 ? 0.5 : 1 / (1 + exp($d - $ability))) ? 1 : 0,
                $difficulty,
            );
        }
        $fit = Rasch::of(new Binary(array_map(static fn (int $i): string => 'q'.$i, range(0, 29)), $rows));
        $columns = array_keys(array_filter(array_column($fit->questions, 'difficulty'), is_float(...)));
        $fitted = array_map(static fn (int $i): float => (float) $fit->questions[$i]['difficulty'], $columns);
        foreach ($rows as $s => $row) {
            $value = $fit->abilities[$s] === null ? null : PersonFit::standardised(
                array_map(static fn (int $i): int => $row[$i], $columns),
                $fitted,
                $fit->abilities[$s],
            )->value;
            if ($value === null) {
                continue;
            }
            $speaks = $value < -2.0 ? 1 : 0;
            if ($s === 0) {
                ++$odd;
                $found += $speaks;
            } else {
                ++$usual;
                $false += $speaks;
            }
        }
    }

    return ['found' => $found / max(1, $odd), 'false' => $false / max(1, $usual)];
};

/**
 * The mean and the least coverage over several true values.
 *
 * @param list<Closure(SimulatedClass, int): array{float, float, float}> $cases draws once: low, high, and the true value
 *
 * @return array{float, float}
 */
$coverage = static function (string $name, int $n, array $cases) use ($random): array {
    $held = [];
    foreach ($cases as $i => $draw) {
        $class = new SimulatedClass($random("$name $n $i"), 1);
        $hits = 0;
        for ($d = 0; $d < DRAWS; ++$d) {
            [$low, $high, $true] = $draw($class, $n);
            if ($low < -1e-12 || $high > 1 + 1e-12) {
                throw new RuntimeException("$name leaves the scale.");
            }
            $hits += $low <= $true + 1e-12 && $true <= $high + 1e-12 ? 1 : 0;
        }
        $held[] = $hits / DRAWS;
    }

    return [array_sum($held) / count($held), min($held)];
};
/** @param array<string, float> $credits probability by credit */
$facility = static fn (array $credits): Closure => static function (SimulatedClass $class, int $n) use ($credits): array {
    $drawn = array_map(static fn (): float => $class->drawn($credits), range(1, $n));
    $interval = Intervals::bounded($drawn) ?? [0.0, 1.0];
    $true = 0.0;
    foreach ($credits as $credit => $share) {
        $true += (float) $credit * $share;
    }

    return [...$interval, $true];
};
$skill = static fn (float $centre): Closure => static function (SimulatedClass $class, int $n) use ($centre): array {
    static $true = [];
    // The mean over all students there could be, by a fine sum over abilities.
    $true["$centre"] ??= (static function () use ($centre): float {
        $sum = $weight = 0.0;
        for ($t = -6.0; $t <= 6.0; $t += 0.01) {
            $sum += exp(-$t * $t / 2) / (1 + exp(-1.2 * $t - $centre));
            $weight += exp(-$t * $t / 2);
        }

        return $sum / $weight;
    })();
    $credits = [];
    for ($s = 0; $s < $n; ++$s) {
        $p = 1 / (1 + exp(-1.2 * $class->normal() - $centre));
        $credits[] = array_map(static fn (): float => $class->uniform() < $p ? 1.0 : 0.0, range(1, 4));
    }
    $figure = SkillShare::ofClass($credits);

    return [$figure->low ?? 0.0, $figure->high ?? 1.0, $true["$centre"]];
};
$agreement = static fn (int $markers, float $slip): Closure => static function (
    SimulatedClass $class,
    int $n,
) use ($markers, $slip): array {
    $units = [];
    for ($u = 0; $u < $n; ++$u) {
        // Some pieces are easy to agree on, others not.
        $own = $class->uniform() < 0.5 ? $slip / 2 : 1.5 * $slip;
        $units[] = array_map(static fn (): float => $class->uniform() < $own ? 1.0 : 0.0, range(1, $markers));
    }
    $pair = static fn (float $p): float => $p * $p + (1 - $p) * (1 - $p);
    $figure = (new Agreement([0.0, 1.0], $markers, $units))->share(0);

    return [$figure->low ?? 0.0, $figure->high ?? 1.0, ($pair($slip / 2) + $pair(1.5 * $slip)) / 2];
};
/**
 * The mean and the least coverage where n answers are right or wrong, worked out exactly: over every count there can be, for 91 true
 * values.
 *
 * @param Closure(int, int): array{float, float} $interval of so many out of n
 *
 * @return array{float, float}
 */
$exactCoverage = static function (int $n, Closure $interval): array {
    $bounds = array_map(static fn (int $k): array => $interval($k, $n), range(0, $n));
    $held = [];
    for ($percent = 5; $percent <= 95; ++$percent) {
        $true = $percent / 100;
        $chance = (1 - $true) ** $n;
        $sum = 0.0;
        foreach ($bounds as $k => [$low, $high]) {
            $sum += $low <= $true && $true <= $high ? $chance : 0.0;
            $chance *= ($n - $k) / ($k + 1) * $true / (1 - $true);
        }
        $held[] = $sum;
    }

    return [array_sum($held) / count($held), min($held)];
};
$exact = [
    'Facility, answers right or wrong' => static fn (int $k, int $n): array => Intervals::bounded(
        array_map(static fn (int $i): float => $i < $k ? 1.0 : 0.0, range(0, $n - 1)),
    ) ?? [0.0, 1.0],
    'Rate of a misconception, so many times offered' => static function (int $k, int $n): array {
        $rate = Evidence::of($k, $n)->rate;

        return [$rate->low ?? 0.0, $rate->high ?? 1.0];
    },
];
$intervals = [
    'Facility, part credit in the middle' => [
        $facility(['0' => 0.1, '0.25' => 0.2, '0.5' => 0.3, '0.75' => 0.25, '1' => 0.15]),
        $facility(['0' => 0.3, '0.5' => 0.4, '1' => 0.3]),
        $facility(['0.25' => 0.1, '0.5' => 0.8, '0.75' => 0.1]),
    ],
    'Facility, part credit near the ends' => [
        $facility(['0' => 0.03, '0.5' => 0.12, '1' => 0.85]),
        $facility(['0' => 0.02, '0.25' => 0.03, '0.5' => 0.05, '0.75' => 0.2, '1' => 0.7]),
        $facility(['0' => 0.75, '0.25' => 0.15, '0.5' => 0.06, '0.75' => 0.03, '1' => 0.01]),
        $facility(['0' => 0.85, '0.5' => 0.12, '1' => 0.03]),
    ],
    'Skill of a class, four questions' => [$skill(-1.5), $skill(0.0), $skill(1.5)],
    'Agreement of two markers' => [$agreement(2, 0.1), $agreement(2, 0.3)],
    'Agreement of three markers' => [$agreement(3, 0.1), $agreement(3, 0.3)],
    'Agreement of five markers' => [$agreement(5, 0.1), $agreement(5, 0.3)],
];

$lines = [
    '# What the flags and intervals are worth',
    '',
    'Made by `bin/bench flags` on simulated classes whose truth is known; seed `'.SEED.'`. Abilities are standard normal. A question’s difficulty is normal (standard deviation 0.8), its slope log-normal (0.3); who does not know it guesses, and the guesses crowd on one distractor. The recipe is in `ops/bench/flags/SimulatedClass.php`.',
    '',
    '## Flags',
    '',
    sprintf('Of each kind one bad question among nineteen sound ones, in %d classes. *Found*: the flag speaks of the bad one. *False*: it speaks of a sound one; the last column leaves out sound questions with a facility below %.2f, which look alike: where nearly nobody knows, the wrong answers of the able crowd on one option too, and the flag says how probable it is.', CLASSES, KNOWN_BY_SOME),
    '',
    '| flag | students | found | false | false, facility from '.KNOWN_BY_SOME.' |',
    '| --- | --- | --- | --- | --- |',
];
foreach (SIZES as $n) {
    foreach ($flags($n) as $flag => $t) {
        $lines[] = sprintf('| %s | %d | %s | %s | %s |', $flag, $n, $percent($t['found']), $percent($t['false']), $percent($t['known']));
    }
    $t = $rushed($n);
    $lines[] = sprintf('| rushed (a fifth of the class, against nobody) | %d | %s | %s | |', $n, $percent($t['found']), $percent($t['false']));
    $t = $persons($n);
    $lines[] = sprintf('| unusual pattern (l_z* below −2; coin tossed on 30 questions) | %d | %s | %s | |', $n, $percent($t['found']), $percent($t['false']));
}
array_push(
    $lines,
    '',
    '## Intervals',
    '',
    sprintf('How often a 95 %% interval holds the true value: the mean over several true values, and in brackets the least; %s draws each. Where answers are right or wrong it is worked out exactly, for the true values 0.05, 0.06 … 0.95: there the coverage jumps from one value to the next, whatever the interval (Brown, Cai & DasGupta, Statistical Science 16, 2001), so the mean is what tells. None leaves the scale.', number_format(DRAWS, 0, '', ' ')),
    '',
    '| interval | n = 12 | n = 28 | n = 84 |',
    '| --- | --- | --- | --- |',
);
foreach ($exact as $name => $interval) {
    $cells = array_map(static function (int $n) use ($exactCoverage, $interval, $percent): string {
        [$mean, $least] = $exactCoverage($n, $interval);

        return $percent($mean).' ('.$percent($least).')';
    }, SIZES);
    $lines[] = '| '.$name.' | '.implode(' | ', $cells).' |';
}
foreach ($intervals as $name => $cases) {
    $cells = array_map(static function (int $n) use ($coverage, $name, $cases, $percent): string {
        [$mean, $least] = $coverage($name, $n, $cases);

        return $percent($mean).' ('.$percent($least).')';
    }, SIZES);
    $lines[] = '| '.$name.' | '.implode(' | ', $cells).' |';
}
file_put_contents(dirname(__DIR__, 3).'/docs/measurement.md', implode("\n", $lines)."\n");
