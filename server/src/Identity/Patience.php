<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** How long somebody waits who has failed so often. Slowing down stops a machine; locking out would stop the right person. */
final readonly class Patience
{
    /**
     * @param int $free     failures that cost nothing
     * @param int $longest  seconds; each further failure doubles the wait up to this
     * @param int $forgets  seconds without a failure after which all are forgotten
     */
    public function __construct(public int $free, public int $longest, public int $forgets)
    {
    }

    /** Seconds from the last failure until the next try. */
    public function wait(int $failures): int
    {
        return $failures <= $this->free ? 0 : (int) min($this->longest, 2 ** min(20, $failures - $this->free));
    }
}
