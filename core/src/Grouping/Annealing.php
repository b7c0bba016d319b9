<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

use Random\Randomizer;

/**
 * Simulated annealing (Kirkpatrick, Gelatt & Vecchi, Science 220, 1983) over moves of one block and swaps of two. Constraints are
 * softened while it is hot, so that it can pass through groupings that break them; whoever calls settles the rest.
 */
final class Annealing
{
    /** From which heat to which, for aims that change by hundredths of a level and for those that change by whole steps. */
    private const LEVELS = [0.5, 1e-4];
    private const TOPICS = [1.0, 0.02];

    /**
     * @param list<Tally>            $worth of each block
     * @param list<array<int, true>> $foes  by block
     * @param list<int|null>         $fixed group by block
     */
    public function __construct(
        private readonly Plan $plan,
        private readonly array $worth,
        private readonly array $foes,
        private readonly array $fixed,
        private readonly Tally $whole,
        private readonly Randomizer $random,
    ) {
    }

    /**
     * @param list<int> $groups by block
     * @param float     $broken what a broken constraint costs here: the less, the more freely it is passed through
     *
     * @return list<int>
     */
    public function from(array $groups, int $steps, float $broken): array
    {
        $free = array_values(array_filter(array_keys($groups), fn (int $b): bool => $this->fixed[$b] === null));
        $last = count($free) - 1;
        if ($last < 1 || $this->plan->groups < 2) {
            return $groups;
        }
        $nobody = new Tally();
        $tallies = array_fill(0, $this->plan->groups, $nobody);
        foreach ($groups as $b => $g) {
            $tallies[$g] = $tallies[$g]->with($this->worth[$b]);
        }
        $costs = array_map(fn (Tally $t): float => $this->cost($t, $broken), $tallies);
        $byLevel = Tally::byLevel($this->plan->aim);
        [$hot, $cold] = $byLevel ? self::LEVELS : self::TOPICS;
        $cooling = ($cold / $hot) ** (1 / max(1, $steps));
        for ($heat = $hot; $steps > 0; --$steps, $heat *= $cooling) {
            $a = $free[$this->random->getInt(0, $last)];
            $b = $free[$this->random->getInt(0, $last)];
            $from = $groups[$a];
            // Where b stands with a already, a goes elsewhere alone.
            $alone = $groups[$b] === $from || ($steps & 1) === 1;
            $to = $alone ? $this->random->getInt(0, $this->plan->groups - 1) : $groups[$b];
            if ($to === $from) {
                continue;
            }
            $strife = $this->strife($a, $from, $to, $groups);
            if (!$alone) {
                $strife += $this->strife($b, $to, $from, $groups) - (isset($this->foes[$a][$b]) ? 2 : 0);
            }
            // So much worse and no more is taken this time.
            $most = $costs[$from] + $costs[$to] - $broken * $strife - $heat * log($this->random->getInt(1, 1_000_000) / 1_000_000);
            if ($byLevel && $this->levels($tallies[$from], $tallies[$to], $this->worth[$a], $alone ? $nobody : $this->worth[$b]) > $most) {
                continue;
            }
            if ($alone) {
                $less = $tallies[$from]->without($this->worth[$a]);
                $more = $tallies[$to]->with($this->worth[$a]);
            } else {
                $less = $tallies[$from]->swapped($this->worth[$a], $this->worth[$b]);
                $more = $tallies[$to]->swapped($this->worth[$b], $this->worth[$a]);
            }
            [$one, $two] = [$this->cost($less, $broken), $this->cost($more, $broken)];
            if ($one + $two <= $most) {
                [$tallies[$from], $tallies[$to], $costs[$from], $costs[$to], $groups[$a]] = [$less, $more, $one, $two, $to];
                if (!$alone) {
                    $groups[$b] = $from;
                }
            }
        }

        return array_values($groups);
    }

    /** The least that two groups cost after a swap, from the sums alone: most swaps are ruled out here. */
    private function levels(Tally $one, Tally $two, Tally $out, Tally $in): float
    {
        $cost = fn (Tally $group, Tally $less, Tally $more): float => Tally::levelCost(
            $this->plan->aim,
            $group->size - $less->size + $more->size,
            $group->sum - $less->sum + $more->sum,
            $group->squares - $less->squares + $more->squares,
            $this->whole,
        );

        return $cost($one, $out, $in) + $cost($two, $in, $out);
    }

    /**
     * How many more foes a block has about it after a move.
     *
     * @param array<int, int> $groups
     */
    private function strife(int $block, int $from, int $to, array $groups): int
    {
        $more = 0;
        foreach ($this->foes[$block] as $foe => $_) {
            $more += ($groups[$foe] === $to ? 1 : 0) - ($groups[$foe] === $from ? 1 : 0);
        }

        return $more;
    }

    private function cost(Tally $group, float $broken): float
    {
        return $broken * $group->broken($this->plan, $this->whole) + $group->cost($this->plan->aim, $this->whole);
    }
}
