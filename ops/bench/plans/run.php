<?php

declare(strict_types=1);

/*
 * How good the formed groups are: small plans against all ways to group them, a class of 30 against a long annealing, and the
 * time it takes. Writes docs/grouping.md. Called by `bin/bench plans`.
 */

use ChalkLadder\Core\Grouping\Former;
use ChalkLadder\Core\Grouping\Plan;

require dirname(__DIR__, 3).'/vendor/autoload.php';
require __DIR__.'/MadePlans.php';
require __DIR__.'/Ground.php';

const SMALL = [[8, 2], [8, 3], [9, 3], [10, 2], [10, 3]];
const SMALL_PLANS = 50;
const CLASS_PLANS = 48;
const STEPS = 30_000;
/** So many ways and no more are gone through. */
const MOST_WAYS = 70_000;

$rows = [];
foreach (SMALL as [$n, $groups]) {
    $made = new MadePlans("small $n $groups");
    $count = $worse = $broken = $impossible = $unnamed = 0;
    for ($i = 0; $i < SMALL_PLANS; ++$i) {
        [$students, $plan] = $made->plan($i, $n, $groups);
        $ground = new Ground($students, $plan);
        if ($groups ** count($ground->blocks) > MOST_WAYS) {
            continue;
        }
        $least = $ground->least();
        $formed = Former::form($students, $plan);
        ++$count;
        $worse += $formed->cost > $least + 1e-6 ? 1 : 0;
        $broken += round($formed->cost / Ground::BROKEN) > round($least / Ground::BROKEN) ? 1 : 0;
        $cannot = $least >= Ground::BROKEN / 2;
        $impossible += $cannot ? 1 : 0;
        $unnamed += $cannot && $formed->clash === null ? 1 : 0;
    }
    $rows[] = "| $n | $groups | $count | $worse | $broken | $impossible | $unnamed |";
}

$aims = [];
$times = [];
foreach ([5, 6, 7, 10] as $groups) {
    $made = new MadePlans("class $groups");
    for ($i = 0; $i < intdiv(CLASS_PLANS, 4); ++$i) {
        [$students, $plan] = $made->plan($i, 30, $groups);
        $begin = hrtime(true);
        $formed = Former::form($students, $plan);
        $times[30][] = (hrtime(true) - $begin) / 1e6;
        $long = (new Ground($students, $plan))->annealed(STEPS, "$groups.$i");
        $more = round($formed->cost / Ground::BROKEN) <=> round($long / Ground::BROKEN);
        $aims[$plan->aim]['plans'] = ($aims[$plan->aim]['plans'] ?? 0) + 1;
        $aims[$plan->aim]['broken'] = ($aims[$plan->aim]['broken'] ?? 0) + ($more > 0 ? 1 : 0);
        if ($more === 0) {
            // By what is shown: the spread in groups; how far the groups' means lie apart; evidence gathered.
            $shown = static fn (float $cost): float => $plan->aim === Plan::ALIKE || $plan->aim === Plan::MIXED
                ? sqrt(max(0.0, fmod($cost, Ground::BROKEN)) / 30)
                : $cost - Ground::BROKEN * round($cost / Ground::BROKEN);
            $scale = $plan->aim === Plan::MIXED ? 0.3 : max(1e-9, abs($shown($long)));
            $aims[$plan->aim]['gaps'][] = ($shown($formed->cost) - $shown($long)) / $scale;
        }
    }
}
foreach (Plan::AIMS as $i => $aim) {
    [$students, $plan] = (new MadePlans('school'))->plan($i, 300, 60);
    $begin = hrtime(true);
    Former::form($students, $plan);
    $times[300][] = (hrtime(true) - $begin) / 1e6;
}
$lines = [];
foreach ($aims as $aim => $one) {
    $gaps = $one['gaps'] ?? [];
    $lines[] = sprintf(
        '| %s | %d | %d | %.2f %% | %.2f %% | %d |',
        $aim,
        $one['plans'],
        $one['broken'],
        100 * array_sum($gaps) / max(1, count($gaps)),
        100 * max($gaps),
        count(array_filter($gaps, static fn (float $g): bool => $g > 0.01)),
    );
}
sort($times[30]);
$small = implode("\n", $rows);
$class = implode("\n", $lines);
$quick = sprintf('%.0f', $times[30][intdiv(count($times[30]), 2)]);
$school = implode(', ', array_map(
    static fn (string $aim, float $ms): string => sprintf('%s %.1f s', $aim, $ms / 1000),
    Plan::AIMS,
    $times[300],
));
$steps = number_format(STEPS, 0, '.', ' ');
file_put_contents(dirname(__DIR__, 3).'/docs/grouping.md', <<<MD
    # How good the formed groups are

    Made by `bin/bench plans` on plans drawn by chance (`ops/bench/plans/MadePlans.php`): every aim in turn, students to be kept apart
    and together, sizes, a spread of a label, fixed places. A broken constraint outweighs any gain in the aim.

    ## Against all ways

    Small plans, each gone through completely. *Worse*: the formed groups cost more than the best there are. *Broken*: a constraint is
    broken that can be kept. *Without a word*: not all can be kept, and no smallest clash is named.

    | students | groups | plans | worse | broken | cannot be kept | without a word |
    | --- | --- | --- | --- | --- | --- | --- |
    $small

    ## Against a long annealing

    Thirty students in 5, 6, 7 or 10 groups, against $steps steps of annealing from a start by chance (Kirkpatrick, Gelatt & Vecchi
    1983). The gap is that of the value shown: the spread within groups (*alike*), how far the groups’ means lie apart as a share of
    the spread of the class (*mixed*), evidence or steps gathered. Below nought, the formed groups are better.

    | aim | plans | more broken | mean gap | largest gap | over 1 % |
    | --- | --- | --- | --- | --- | --- |
    $class

    ## Time

    30 students: $quick ms in the middle. 300 students in 60 groups with all constraints: $school.

    MD);
echo $small, "\n", $class, "\n", $quick, ' ', $school, "\n";
