<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

/** Told to the house when a sitting has changed in a way that a watching teacher would want to see. */
final readonly class SittingChanged
{
    public function __construct(public string $handoutId, public string $sittingId)
    {
    }
}
