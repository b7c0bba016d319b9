<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** Level bands with lower cuts on the share of marks, 0…1. Names and cuts are the team's. */
final readonly class Rungs
{
    /** @param non-empty-list<array{name: string, from: float}> $bands rising cuts, the first from 0 */
    public function __construct(public array $bands = [
        ['name' => 'footing', 'from' => 0.0],
        ['name' => 'climbing', 'from' => 0.5],
        ['name' => 'clear', 'from' => 0.75],
    ])
    {
    }

    /** The rung reached: 1 for the lowest. */
    public function reached(float $share): int
    {
        $rung = 1;
        foreach ($this->bands as $i => $band) {
            // A share that is a cut but for the last bit of arithmetic has reached it.
            $rung = $share >= $band['from'] - 1e-9 ? $i + 1 : $rung;
        }

        return $rung;
    }

    public function name(int $rung): string
    {
        return $this->bands[$rung - 1]['name'] ?? '';
    }
}
