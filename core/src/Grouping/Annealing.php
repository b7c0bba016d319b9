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
    /** What a broken constraint costs here, beside aims that change by a few tenths. */
    private const BROKEN = 3.0;
    private const HOT = 0.5;
    private const COLD = 1e-4;

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
     *
     * @return list<int>
     */
    public function from(array $groups, int $steps): array
    {
        $free = array_values(array_filter(array_keys($groups), fn (int $b): bool => $this->fixed[$b] === null));
        $last = count($free) - 1;
        if ($last < 1 || $this->plan->groups < 2) {
            return $groups;
        }
        $tallies = array_fill(0, $this->plan->groups, new Tally());
        foreach ($groups as $b => $g) {
            $tallies[$g] = $tallies[$g]->with($this->worth[$b]);
        }
        $costs = array_map($this->cost(...), $tallies);
        $cooling = (self::COLD / self::HOT) ** (1 / max(1, $steps));
        for ($heat = self::HOT; $steps > 0; --$steps, $heat *= $cooling) {
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
            if ($alone) {
                $less = $tallies[$from]->without($this->worth[$a]);
                $more = $tallies[$to]->with($this->worth[$a]);
            } else {
                $less = $tallies[$from]->swapped($this->worth[$a], $this->worth[$b]);
                $more = $tallies[$to]->swapped($this->worth[$b], $this->worth[$a]);
                $strife += $this->strife($b, $to, $from, $groups) - (isset($this->foes[$a][$b]) ? 2 : 0);
            }
            [$one, $two] = [$this->cost($less), $this->cost($more)];
            $worse = $one + $two - $costs[$from] - $costs[$to] + self::BROKEN * $strife;
            if ($worse <= 0.0 || $this->random->getInt(1, 1_000_000) < 1_000_000 * exp(-$worse / $heat)) {
                [$tallies[$from], $tallies[$to], $costs[$from], $costs[$to], $groups[$a]] = [$less, $more, $one, $two, $to];
                if (!$alone) {
                    $groups[$b] = $from;
                }
            }
        }

        return array_values($groups);
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

    private function cost(Tally $group): float
    {
        return self::BROKEN * $group->broken($this->plan, $this->whole) + $group->cost($this->plan->aim, $this->whole);
    }
}
