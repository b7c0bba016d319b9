<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

/** Told to the house when work that is handed in has changed: it is in, marked or returned. */
final readonly class WorkChanged
{
    public function __construct(public string $teamId, public string $handoutId, public string $sittingId)
    {
    }
}
