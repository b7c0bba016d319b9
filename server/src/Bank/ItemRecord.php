<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\ReadModel\Band;

/** What all first tries at a question come to. */
final readonly class ItemRecord
{
    /**
     * @param float|null $facility mean credit; null while nothing is marked
     * @param float|null $seconds  median time; null while none is known
     */
    public function __construct(public int $handouts, public int $students, public ?float $facility, public ?float $seconds)
    {
    }

    /** How many were right so far, roughly, in one word. */
    public function band(): string
    {
        return Band::of($this->facility)->value;
    }
}
