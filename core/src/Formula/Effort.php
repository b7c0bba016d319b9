<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Formula;

/**
 * What many evaluations may cost together: a question's draws, say. Counted in the steps of {@see Budget}, so it is the
 * same on every machine.
 */
final class Effort
{
    public function __construct(private int $left)
    {
    }

    /** @throws EffortSpent */
    public function spend(int $steps): void
    {
        $this->left -= $steps;
        if ($this->left < 0) {
            throw new EffortSpent('Working this out takes too long.');
        }
    }
}
