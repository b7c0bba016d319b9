<?php

declare(strict_types=1);

use ChalkLadder\Core\Grouping\Clash;
use ChalkLadder\Core\Grouping\Plan;
use ChalkLadder\Core\Grouping\Student;
use ChalkLadder\Core\Grouping\Tally;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** What any grouping of these students costs, and two slow ways to look for the best: through all ways, and by long annealing. */
final class Ground
{
    public const BROKEN = 1e6;
    /** What a broken constraint costs while annealing, so that it can be passed through. */
    private const SOFT = 3.0;
    private const HOT = 0.5;
    private const COLD = 1e-4;

    /** @var list<Tally> of each block of students who stay together */
    public array $blocks = [];
    /** @var list<int|null> */
    private array $fixed = [];
    /** @var array<string, array{int, int}> */
    private array $foes = [];
    private Tally $whole;

    /** @param list<Student> $students */
    public function __construct(array $students, private readonly Plan $plan)
    {
        $ids = array_map(static fn (Student $s): string => $s->id, $students);
        $number = $of = [];
        foreach (Clash::blocks(array_combine($ids, $ids), $plan->together) as $id => $block) {
            $of[$id] = $number[$block] ??= count($number);
        }
        $this->whole = new Tally();
        $this->blocks = array_fill(0, count($number), new Tally());
        $this->fixed = array_fill(0, count($number), null);
        foreach ($students as $student) {
            $tally = Tally::of($student, $plan);
            $this->whole = $this->whole->with($tally);
            $this->blocks[$of[$student->id]] = $this->blocks[$of[$student->id]]->with($tally);
            $this->fixed[$of[$student->id]] ??= $plan->fixed[$student->id] ?? null;
        }
        foreach ($plan->apart as [$a, $b]) {
            [$one, $two] = [min($of[$a], $of[$b]), max($of[$a], $of[$b])];
            if ($one !== $two) {
                $this->foes["$one-$two"] = [$one, $two];
            }
        }
    }

    /** The least that any grouping costs. */
    public function least(): float
    {
        $best = INF;
        $groups = [];
        $go = function (int $block) use (&$go, &$groups, &$best): void {
            if ($block === count($this->blocks)) {
                $best = min($best, $this->cost($groups, self::BROKEN));

                return;
            }
            foreach ($this->fixed[$block] === null ? range(0, $this->plan->groups - 1) : [$this->fixed[$block]] as $group) {
                $groups[$block] = $group;
                $go($block + 1);
            }
        };
        $go(0);

        return $best;
    }

    /** The least that so many steps of annealing from a start by chance come to. */
    public function annealed(int $steps, string $seed): float
    {
        $random = new Randomizer(new Xoshiro256StarStar(hash('sha256', "long|$seed", true)));
        $last = count($this->blocks) - 1;
        $groups = array_map(fn (?int $f): int => $f ?? $random->getInt(0, $this->plan->groups - 1), $this->fixed);
        $free = array_keys(array_filter($this->fixed, is_null(...)));
        $now = $this->cost($groups, self::SOFT);
        $best = $this->cost($groups, self::BROKEN);
        for ($step = 0; $step < $steps && count($free) > 1; ++$step) {
            $heat = self::HOT * (self::COLD / self::HOT) ** ($step / $steps);
            $next = $groups;
            $a = $free[$random->getInt(0, count($free) - 1)];
            $b = $free[$random->getInt(0, count($free) - 1)];
            if ($random->getInt(0, 1) === 0) {
                $next[$a] = $random->getInt(0, $this->plan->groups - 1);
            } else {
                [$next[$a], $next[$b]] = [$next[$b], $next[$a]];
            }
            $cost = $this->cost($next, self::SOFT);
            if ($cost <= $now || $random->getInt(1, 1_000_000) < 1_000_000 * exp(($now - $cost) / $heat)) {
                [$groups, $now] = [$next, $cost];
                $best = $step % 50 === 0 || $step > 0.8 * $steps ? min($best, $this->cost($groups, self::BROKEN)) : $best;
            }
        }

        return $best;
    }

    /** @param list<int> $groups by block */
    private function cost(array $groups, float $broken): float
    {
        $tallies = array_fill(0, $this->plan->groups, new Tally());
        foreach ($groups as $block => $group) {
            $tallies[$group] = $tallies[$group]->with($this->blocks[$block]);
        }
        $cost = 0.0;
        foreach ($tallies as $tally) {
            $cost += $broken * $tally->broken($this->plan, $this->whole) + $tally->cost($this->plan->aim, $this->whole);
        }
        foreach ($this->foes as [$one, $two]) {
            $cost += $groups[$one] === $groups[$two] ? $broken : 0.0;
        }

        return $cost;
    }
}
