<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A stretch of a sound or a film, and how often those who played it did. */
final readonly class StretchView
{
    /** @param float $from seconds, as `to` */
    public function __construct(public float $from, public float $to, public float $times)
    {
    }
}
