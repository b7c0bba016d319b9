<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/**
 * Goes through every way to group a few blocks, leaving out what cannot become better than the best so far (branch and bound; Land &
 * Doig, Econometrica 28, 1960). Groups that are empty and that nobody is placed in are alike, so only the first is tried.
 */
final class Exhaustive
{
    /** More steps than this would be felt; then the best so far stands, unproved. */
    private const MOST_STEPS = 60_000;

    /** @var list<int> group by block */
    private array $best = [];
    private float $least = INF;
    private int $steps = 0;
    /** @var list<int> blocks in the order in which they are placed */
    private array $order = [];
    /** @var list<float> the most that the blocks from here on can add to the topics */
    private array $strengthAhead = [];
    /** @var list<int> students from here on */
    private array $studentsAhead = [];
    /** @var array<int, true> groups that somebody is placed in */
    private array $named = [];

    /**
     * @param list<Tally>             $worth  of each block
     * @param list<array<int, true>>  $foes   by block
     * @param list<int|null>          $fixed  group by block
     * @param float                   $broken what a broken constraint costs
     */
    public function __construct(
        private readonly Plan $plan,
        private readonly array $worth,
        private readonly array $foes,
        private readonly array $fixed,
        private readonly Tally $whole,
        private readonly float $broken,
    ) {
    }

    /**
     * @param list<int> $groups a good way, by block
     *
     * @return list<int> the best
     */
    public function best(array $groups, float $cost): array
    {
        [$this->best, $this->least, $this->steps] = [$groups, $cost, 0];
        $this->named = array_fill_keys(array_values(array_filter($this->fixed, is_int(...))), true);
        $order = array_keys($this->worth);
        // Those who are placed, those with foes and the large first: they rule out most.
        usort($order, fn (int $a, int $b): int => [$this->fixed[$a] === null, count($this->foes[$b]), $this->worth[$b]->size, $a]
            <=> [$this->fixed[$b] === null, count($this->foes[$a]), $this->worth[$a]->size, $b]);
        $this->order = $order;
        $strength = 0.0;
        $students = 0;
        $this->strengthAhead = [0.0];
        $this->studentsAhead = [0];
        foreach (array_reverse($order) as $b) {
            array_unshift($this->strengthAhead, $strength += $this->worth[$b]->strength());
            array_unshift($this->studentsAhead, $students += $this->worth[$b]->size);
        }
        $this->place(0, array_fill(0, $this->plan->groups, new Tally()), [], 0);

        return $this->best;
    }

    /**
     * @param list<Tally>     $tallies
     * @param array<int, int> $groups  by block, those placed so far
     * @param int             $strife  foes in one group so far
     */
    private function place(int $at, array $tallies, array $groups, int $strife): void
    {
        if (++$this->steps > self::MOST_STEPS || $this->atLeast($at, $tallies, $strife) >= $this->least - 1e-9) {
            return;
        }
        if ($at === count($this->order)) {
            $cost = $this->broken * $strife;
            foreach ($tallies as $tally) {
                $cost += $this->broken * $tally->broken($this->plan, $this->whole) + $tally->cost($this->plan->aim, $this->whole);
            }
            if ($cost < $this->least - 1e-9) {
                ksort($groups);
                [$this->best, $this->least] = [array_values($groups), $cost];
            }

            return;
        }
        $block = $this->order[$at];
        $empty = false;
        foreach ($tallies as $g => $tally) {
            if ($this->fixed[$block] !== null && $this->fixed[$block] !== $g) {
                continue;
            }
            if ($tally->size === 0 && !isset($this->named[$g])) {
                if ($empty) {
                    continue;
                }
                $empty = true;
            }
            $more = 0;
            foreach ($this->foes[$block] as $foe => $_) {
                $more += ($groups[$foe] ?? -1) === $g ? 1 : 0;
            }
            $next = $tallies;
            $next[$g] = $tally->with($this->worth[$block]);
            $this->place($at + 1, array_values($next), $groups + [$block => $g], $strife + $more);
        }
    }

    /**
     * What the rest cannot make good any more.
     *
     * @param list<Tally> $tallies
     */
    private function atLeast(int $at, array $tallies, int $strife): float
    {
        $tooMany = $missing = 0;
        $aim = 0.0;
        foreach ($tallies as $tally) {
            $tooMany += $this->plan->most > 0 ? max(0, $tally->size - $this->plan->most) : 0;
            $missing += max(0, $this->plan->least - $tally->size);
            // The spread inside a group only grows, and a topic by no more than who is still to come.
            $aim += $this->plan->aim === Plan::MIXED ? 0.0 : $tally->cost($this->plan->aim, $this->whole);
        }
        if ($this->plan->aim !== Plan::MIXED && $this->plan->aim !== Plan::ALIKE) {
            $aim -= $this->strengthAhead[$at];
        }

        return $this->broken * ($strife + $tooMany + max(0, $missing - $this->studentsAhead[$at])) + $aim;
    }
}
