<?php

declare(strict_types=1);

namespace ChalkLadder\Core\Analysis;

/** What a student can do of one skill by now, as they are told it: by their latest marked answers, since one learns. */
final readonly class OwnSkill
{
    public const LATEST = 10;
    /** One or two answers say nothing yet. */
    private const LEAST = 3;

    /**
     * @param float $credit sum over the answers that count
     * @param int   $n      how many answers count
     * @param int   $rung   1 for the lowest; 0 while there are too few answers to tell
     */
    private function __construct(public float $credit, public int $n, public int $rung)
    {
    }

    /** @param list<float> $credits 0…1, in the order of time */
    public static function of(array $credits, Rungs $rungs): self
    {
        $latest = array_slice($credits, -self::LATEST);
        $n = count($latest);
        $credit = array_sum($latest);

        return new self($credit, $n, $n < self::LEAST ? 0 : $rungs->reached($credit / $n));
    }
}
