<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Grouping;

/** Sums over some students, from which a group's worth is told without going through its members. */
final class Tally
{
    /**
     * @param array<string, float>              $topics for each topic, how strongly it is shown or needed, added up
     * @param array<string, array<string, int>> $labels how many of each value, by label
     */
    public function __construct(
        public readonly int $size = 0,
        public readonly float $sum = 0.0,
        public readonly float $squares = 0.0,
        private readonly array $topics = [],
        private readonly array $labels = [],
    ) {
    }

    public static function of(Student $student, Plan $plan): self
    {
        $topics = [];
        if ($plan->aim === Plan::MISCONCEPTION) {
            foreach ($student->evidence as $id => $evidence) {
                if ($evidence->shown > 0) {
                    $topics[(string) $id] = $evidence->rate->value ?? 0.0;
                }
            }
        } elseif ($plan->aim === Plan::NEXT && $student->next !== '') {
            $topics[$student->next] = 1.0;
        }
        $labels = [];
        foreach ($plan->spread as $label) {
            $labels[$label][$student->labels[$label] ?? ''] = 1;
        }

        return new self(1, $student->share, $student->share ** 2, $topics, $labels);
    }

    public function with(self $other): self
    {
        return $this->plus($other, 1);
    }

    public function without(self $other): self
    {
        return $this->plus($other, -1);
    }

    public function swapped(self $out, self $in): self
    {
        // In one go: this is what forming groups spends its time on.
        $topics = $this->topics;
        foreach ($out->topics as $topic => $strength) {
            $topics[$topic] = ($topics[$topic] ?? 0.0) - $strength;
        }
        foreach ($in->topics as $topic => $strength) {
            $topics[$topic] = ($topics[$topic] ?? 0.0) + $strength;
        }
        $labels = $this->labels;
        if ($labels !== [] && $out->labels !== $in->labels) {
            foreach ($labels as $label => $counts) {
                foreach ($out->labels[$label] ?? [] as $value => $count) {
                    $counts[$value] = ($counts[$value] ?? 0) - $count;
                }
                foreach ($in->labels[$label] ?? [] as $value => $count) {
                    $counts[$value] = ($counts[$value] ?? 0) + $count;
                }
                $labels[$label] = $counts;
            }
        }

        return new self(
            $this->size - $out->size + $in->size,
            $this->sum - $out->sum + $in->sum,
            $this->squares - $out->squares + $in->squares,
            $topics,
            $labels,
        );
    }

    /** Size and labels: two of one shape change places without touching sizes or spread. */
    public function shape(): string
    {
        return $this->size.json_encode($this->labels, JSON_THROW_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE);
    }

    public function mean(): float
    {
        return $this->size === 0 ? 0.0 : $this->sum / $this->size;
    }

    /** The topic that most of it is about, or ''. */
    public function topic(): string
    {
        $best = '';
        $most = 1e-9;
        foreach ($this->topics as $topic => $strength) {
            if ($strength > $most) {
                [$best, $most] = [(string) $topic, $strength];
            }
        }

        return $best;
    }

    /** What the aim counts, the less the better. */
    public function cost(string $aim, self $whole): float
    {
        return self::byLevel($aim) ? self::levelCost($aim, $this->size, $this->sum, $this->squares, $whole) : -$this->strength();
    }

    /** Whether an aim looks at levels alone, so that the sums tell its cost. */
    public static function byLevel(string $aim): bool
    {
        return $aim === Plan::ALIKE || $aim === Plan::MIXED;
    }

    /** The cost of an aim that looks at levels, from the sums: for what need not be added up in full. */
    public static function levelCost(string $aim, int $size, float $sum, float $squares, self $whole): float
    {
        return match (true) {
            $size === 0 => 0.0,
            $aim === Plan::ALIKE => max(0.0, $squares - $sum ** 2 / $size),
            default => $size * ($sum / $size - $whole->mean()) ** 2,
        };
    }

    /** How far it breaks the plan: students too few or too many, and beyond an even spread. */
    public function broken(Plan $plan, self $whole): int
    {
        return max(0, $plan->least - $this->size) + ($plan->most > 0 ? max(0, $this->size - $plan->most) : 0) + $this->unevenness($whole);
    }

    /** How strongly its strongest topic is shown. */
    public function strength(): float
    {
        return $this->topics === [] ? 0.0 : max(0.0, max($this->topics));
    }

    /** How many students stand beyond an even spread of the labels, rounded in the group's favour. */
    public function unevenness(self $whole): int
    {
        $beyond = 0;
        foreach ($this->labels as $label => $counts) {
            foreach ($whole->labels[$label] ?? [] as $value => $all) {
                $fair = $all * $this->size / $whole->size;
                $here = $counts[$value] ?? 0;
                $beyond += max(0, $here - (int) ceil($fair - 1e-9), (int) floor($fair + 1e-9) - $here);
            }
        }

        return $beyond;
    }

    private function plus(self $other, int $sign): self
    {
        $topics = $this->topics;
        foreach ($other->topics as $topic => $strength) {
            $topics[$topic] = ($topics[$topic] ?? 0.0) + $sign * $strength;
        }
        $labels = $this->labels;
        foreach ($other->labels as $label => $counts) {
            foreach ($counts as $value => $count) {
                $labels[$label][$value] = ($labels[$label][$value] ?? 0) + $sign * $count;
            }
        }

        return new self(
            $this->size + $sign * $other->size,
            $this->sum + $sign * $other->sum,
            $this->squares + $sign * $other->squares,
            $topics,
            $labels,
        );
    }
}
