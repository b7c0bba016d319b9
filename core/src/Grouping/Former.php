<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * Forms groups under constraints: a greedy start (cut by level, or dealt out; for *alike* also the cut that gives its bound), then
 * moves of one block and swaps of two as long as they help, from several shaken starts; the best is kept, and where the students
 * are few, proved or bettered by going through all ways ({@see Exhaustive}). Students who are to be together are one block.
 * A broken constraint outweighs any gain in the aim. Deterministic for a seed; the work is bounded by the number of students, not
 * by a clock.
 */
final class Former
{
    private const BROKEN = 1e6;
    private const TRIALS = 900;
    /** Steps of annealing in each run. */
    private const STEPS = 3_000;
    /** What a broken constraint costs in each run: some plans want it passed through freely, some hardly. */
    private const BROKEN_COSTS = [0.5, 0.7, 0.5, 0.7, 0.5, 0.7, 1.0, 1.0];
    /** With many students, whose swaps take the time, there is one run. */
    private const RUN_OF_MANY = [[1.0, 2 * self::STEPS]];
    /** Where nothing but the constraints counts. */
    private const RUNS_TO_KEEP = [[1.0, self::STEPS], [0.5, self::STEPS], [1.0, self::STEPS], [0.5, self::STEPS]];
    private const MANY = 60;
    /** With so many blocks every way to group them can be gone through. */
    private const FEW_BLOCKS = 11;

    /** @var list<list<int>> students by block */
    private array $blocks = [];
    /** @var list<array<int, true>> foes by block */
    private array $foes = [];
    /** @var list<int|null> */
    private array $fixed = [];
    /** @var list<Tally> */
    private array $worth = [];
    /** @var list<string> shape by block */
    private readonly array $shapes;
    private readonly Tally $whole;

    /** @param list<Student> $students */
    private function __construct(private readonly array $students, private readonly Plan $plan)
    {
        $place = $names = $members = [];
        foreach ($students as $i => $student) {
            $place[$student->id] = $i;
            $names[$student->id] = $student->name;
        }
        $numbers = [];
        foreach (Clash::blocks($names, $plan->together) as $id => $block) {
            $numbers[$block] ??= count($numbers);
            $members[$numbers[$block]][] = $place[$id];
        }
        $of = $foes = [];
        foreach (array_values($members) as $b => $together) {
            $tally = new Tally();
            $fixed = null;
            foreach ($together as $i) {
                $of[$i] = $b;
                $tally = $tally->with(Tally::of($students[$i], $plan));
                $fixed ??= $plan->fixed[$students[$i]->id] ?? null;
            }
            $this->blocks[] = $together;
            $this->fixed[] = $fixed;
            $this->worth[] = $tally;
            $foes[$b] = [];
        }
        foreach ($plan->apart as [$a, $b]) {
            if (isset($place[$a], $place[$b]) && $of[$place[$a]] !== $of[$place[$b]]) {
                $foes[$of[$place[$a]]][$of[$place[$b]]] = true;
                $foes[$of[$place[$b]]][$of[$place[$a]]] = true;
            }
        }
        $this->foes = array_values($foes);
        $whole = new Tally();
        foreach ($this->worth as $tally) {
            $whole = $whole->with($tally);
        }
        $this->whole = $whole;
        $this->shapes = array_map(static fn (Tally $t): string => $t->shape(), $this->worth);
    }

    /**
     * @param list<Student>         $students
     * @param array<string, string> $topics   names of misconceptions and next steps
     * @param bool                  $tell     why not all constraints can be kept, where they cannot
     */
    public static function form(array $students, Plan $plan, array $topics = [], bool $tell = true): Formed
    {
        $former = new self($students, $plan);
        $greedy = $former->start();
        $best = $former->best($greedy, count($students) <= self::MANY ? self::runs($plan->aim) : self::RUN_OF_MANY);

        return Reasons::told(
            $students,
            $plan,
            $former->placed($best),
            $topics,
            $former->value($best),
            $former->cost($best),
            $former->cost($greedy),
            $tell,
        );
    }

    /**
     * What the aim would come to with one student in each of the groups, everybody else staying where they are.
     *
     * @param list<Student> $students
     * @param Plan          $plan     with a fixed place for every student
     *
     * @return list<float> by group, in the measure's unit
     */
    public static function elsewhere(array $students, Plan $plan, string $student): array
    {
        // Somebody moved by hand leaves those they were to be with.
        $alone = $plan->with(together: []);

        return array_map(static fn (int $group): float => self::form(
            $students,
            $alone->with(fixed: [$student => $group] + $plan->fixed),
            tell: false,
        )->value, range(0, $plan->groups - 1));
    }

    /**
     * Whether all constraints can be kept; where the students are many, whether a way was found.
     *
     * @param list<Student> $students
     */
    public static function keeps(array $students, Plan $plan): bool
    {
        // Without levels and topics nothing but the constraints counts.
        $bare = array_map(static fn (Student $s): Student => new Student($s->id, 0.0, [], $s->name, $s->labels), $students);
        $former = new self($bare, $plan->with(aim: Plan::ALIKE));

        return $former->cost($former->best($former->start(), self::RUNS_TO_KEEP, enough: 0.0)) < self::BROKEN / 2;
    }

    /**
     * The best grouping that was found.
     *
     * @param list<int>                $greedy
     * @param list<array{float, int}> $runs   of annealing: what a broken constraint costs there, and its steps
     * @param float                    $enough no better one is looked for than at this cost
     *
     * @return list<int> group by block
     */
    private function best(array $greedy, array $runs, float $enough = -INF): array
    {
        $settled = $this->settled($greedy);
        $best = $this->better($settled, $this->cut() ?? $settled);
        if (count($this->blocks) <= self::FEW_BLOCKS) {
            return (new Exhaustive($this->plan, $this->worth, $this->foes, $this->fixed, $this->whole, self::BROKEN))->best(
                $best,
                $this->cost($best),
            );
        }
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', 'groups|'.$this->plan->seed, true)));
        $annealing = new Annealing($this->plan, $this->worth, $this->foes, $this->fixed, $this->whole, $random);
        foreach ($runs as [$broken, $steps]) {
            if ($this->cost($best) > $enough) {
                $best = $this->better($best, $this->settled($annealing->from($best, $steps, $broken)));
            }
        }
        $n = count($this->students);
        for ($trial = intdiv(self::TRIALS, $n * $n); $trial > 0; --$trial) {
            $best = $this->better($best, $this->settled($this->shaken($best, $random)));
        }

        return $best;
    }

    /**
     * @param list<int> $one
     * @param list<int> $other
     *
     * @return list<int>
     */
    private function better(array $one, array $other): array
    {
        return $this->cost($other) < $this->cost($one) - 1e-9 ? $other : $one;
    }

    /** @return list<array{float, int}> as {@see best()} takes them; for *alike*, whose best is the hardest to find, there are more */
    private static function runs(string $aim): array
    {
        $runs = array_map(static fn (float $broken): array => [$broken, self::STEPS], self::BROKEN_COSTS);

        return $aim === Plan::ALIKE ? [...$runs, ...array_slice($runs, 0, 4)] : $runs;
    }

    /**
     * From the best cut by level, each block standing where its first student falls.
     *
     * @return list<int>|null group by block
     */
    private function cut(): ?array
    {
        $cut = $this->plan->aim === Plan::ALIKE
            ? LevelCut::of(array_map(static fn (Student $s): float => $s->share, $this->students), $this->plan)
            : null;

        return $cut === null ? null : $this->settled(array_map(
            static fn (array $block, ?int $fixed): int => $fixed ?? $cut->parts[$block[0] ?? 0] ?? 0,
            $this->blocks,
            $this->fixed,
        ));
    }

    /** @return list<int> group by block */
    private function start(): array
    {
        $order = array_keys($this->blocks);
        // Dealt out shape by shape, a mixed start spreads labels by itself.
        $first = fn (int $b): string => $this->plan->aim === Plan::MIXED ? $this->shapes[$b] : $this->worth[$b]->topic();
        usort(
            $order,
            fn (int $a, int $b): int => [$first($a), $this->worth[$a]->mean(), $a] <=> [$first($b), $this->worth[$b]->mean(), $b],
        );
        $groups = array_fill(0, count($this->blocks), 0);
        $g = $this->plan->groups;
        $n = count($this->students);
        $so = 0;
        foreach ($order as $rank => $b) {
            $turn = intdiv($rank, $g) % 2 === 0 ? $rank % $g : $g - 1 - $rank % $g;
            $groups[$b] = $this->fixed[$b] ?? ($this->plan->aim === Plan::MIXED ? $turn : min($g - 1, intdiv($so * $g, max(1, $n))));
            $so += count($this->blocks[$b]);
        }

        return array_values($groups);
    }

    /**
     * @param list<int> $groups
     *
     * @return list<int>
     */
    private function shaken(array $groups, Randomizer $random): array
    {
        $free = array_values(array_filter(array_keys($groups), fn (int $b): bool => $this->fixed[$b] === null));
        for ($i = intdiv(count($free), 5) + 1; $i > 0 && count($free) > 1; --$i) {
            $a = $free[$random->getInt(0, count($free) - 1)];
            $b = $free[$random->getInt(0, count($free) - 1)];
            if ($this->shapes[$a] === $this->shapes[$b]) {
                [$groups[$a], $groups[$b]] = [$groups[$b], $groups[$a]];
            }
        }

        return array_values($groups);
    }

    /**
     * Moves and swaps until none helps.
     *
     * @param list<int> $groups
     *
     * @return list<int>
     */
    private function settled(array $groups): array
    {
        $tallies = $this->tallies($groups);
        $costs = array_map($this->groupCost(...), $tallies);
        $free = array_values(array_filter(array_keys($groups), fn (int $b): bool => $this->fixed[$b] === null));
        $calm = Tally::byLevel($this->plan->aim);
        do {
            $moved = false;
            foreach ($free as $a) {
                $from = $groups[$a];
                for ($to = 0; $to < $this->plan->groups; ++$to) {
                    if ($to === $from || ($costs[$from] + $costs[$to] < self::BROKEN && $this->foes[$a] === [] && $this->breaksSize(
                        $tallies[$from],
                        $tallies[$to],
                        $this->worth[$a]->size,
                    ))) {
                        continue;
                    }
                    $less = $tallies[$from]->without($this->worth[$a]);
                    $more = $tallies[$to]->with($this->worth[$a]);
                    [$cost, $other] = [$this->groupCost($less), $this->groupCost($more)];
                    $strife = $this->foesIn($a, $to, $groups) - $this->foesIn($a, $from, $groups);
                    if ($cost + $other + self::BROKEN * $strife < $costs[$from] + $costs[$to] - 1e-9) {
                        [$tallies[$from], $tallies[$to], $costs[$from], $costs[$to], $groups[$a]] = [$less, $more, $cost, $other, $to];
                        $from = $to;
                        $moved = true;
                    }
                }
            }
            for ($i = 0, $n = count($free); $i < $n; ++$i) {
                $a = $free[$i];
                for ($j = $i + 1; $j < $n; ++$j) {
                    $b = $free[$j];
                    [$one, $two] = [$groups[$a], $groups[$b]];
                    if ($one === $two) {
                        continue;
                    }
                    $alike = $this->shapes[$a] === $this->shapes[$b];
                    // Most swaps are ruled out by a glance: nothing is broken that they could mend, and the aim does not gain.
                    if ($calm && ($alike || $costs[$one] + $costs[$two] < self::BROKEN) && !$this->gains(
                        $tallies[$one],
                        $tallies[$two],
                        $this->worth[$a],
                        $this->worth[$b],
                    ) && $this->foesIn($a, $one, $groups) + $this->foesIn($b, $two, $groups) === 0) {
                        continue;
                    }
                    $first = $tallies[$one]->swapped($this->worth[$a], $this->worth[$b]);
                    $second = $tallies[$two]->swapped($this->worth[$b], $this->worth[$a]);
                    [$cost, $other] = [$this->groupCost($first), $this->groupCost($second)];
                    $strife = $this->foes[$a] === [] && $this->foes[$b] === []
                        ? 0
                        : $this->foesIn($a, $two, $groups) - $this->foesIn($a, $one, $groups) + $this->foesIn($b, $one,
                            $groups) - $this->foesIn($b, $two, $groups) - (isset($this->foes[$a][$b])
                            ? 2
                            : 0);
                    if ($cost + $other + self::BROKEN * $strife < $costs[$one] + $costs[$two] - 1e-9) {
                        [
                            $tallies[$one],
                            $tallies[$two],
                            $costs[$one],
                            $costs[$two],
                            $groups[$a],
                            $groups[$b],
                        ] = [$first, $second, $cost, $other, $two, $one];
                        $moved = true;
                    }
                }
            }
        } while ($moved);

        return array_values($groups);
    }

    /**
     * Whether a swap betters the aim, from the sums alone: most swaps are ruled out here, before anything is added up.
     */
    private function gains(Tally $one, Tally $two, Tally $a, Tally $b): bool
    {
        $sum = $one->sum - $a->sum + $b->sum;
        $other = $two->sum - $b->sum + $a->sum;
        $size = $one->size - $a->size + $b->size;
        $rest = $two->size - $b->size + $a->size;
        if ($size < 1 || $rest < 1) {
            return true;
        }
        // Between-group sum of squares, up to a constant: alike wants it large, mixed small.
        $gain = $sum ** 2 / $size + $other ** 2 / $rest - $one->sum ** 2 / $one->size - $two->sum ** 2 / $two->size;

        return $this->plan->aim === Plan::ALIKE ? $gain > 1e-9 : $gain < -1e-9;
    }

    private function breaksSize(Tally $from, Tally $to, int $size): bool
    {
        return $from->size - $size < $this->plan->least || ($this->plan->most > 0 && $to->size + $size > $this->plan->most);
    }

    /** @param array<int, int> $groups */
    private function foesIn(int $block, int $group, array $groups): int
    {
        $count = 0;
        foreach ($this->foes[$block] as $foe => $_) {
            $count += $groups[$foe] === $group ? 1 : 0;
        }

        return $count;
    }

    private function groupCost(Tally $group): float
    {
        return self::BROKEN * $group->broken($this->plan, $this->whole) + $group->cost($this->plan->aim, $this->whole);
    }

    /** @param list<int> $groups */
    private function cost(array $groups): float
    {
        $cost = array_sum(array_map($this->groupCost(...), $this->tallies($groups)));
        foreach ($this->foes as $a => $foes) {
            foreach ($foes as $b => $_) {
                $cost += $b > $a && $groups[$a] === $groups[$b] ? self::BROKEN : 0.0;
            }
        }

        return $cost;
    }

    /** @param list<int> $groups */
    private function value(array $groups): float
    {
        return array_sum(array_map(fn (Tally $t): float => $t->cost($this->plan->aim, $this->whole), $this->tallies($groups)));
    }

    /**
     * @param list<int> $groups
     *
     * @return list<Tally>
     */
    private function tallies(array $groups): array
    {
        $tallies = array_fill(0, $this->plan->groups, new Tally());
        foreach ($groups as $b => $g) {
            $tallies[$g] = $tallies[$g]->with($this->worth[$b]);
        }

        return array_values($tallies);
    }

    /**
     * @param list<int> $groups
     *
     * @return list<list<int>> students by group, in the order of the list
     */
    private function placed(array $groups): array
    {
        $placed = array_fill(0, $this->plan->groups, []);
        foreach ($groups as $b => $g) {
            array_push($placed[$g], ...$this->blocks[$b]);
        }

        return array_values(array_map(static function (array $members): array {
            sort($members);

            return $members;
        }, $placed));
    }
}
