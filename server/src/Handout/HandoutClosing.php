<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout;

/** Told to the house when a handout closes, within the same transaction: what is open is to be handed in. */
final readonly class HandoutClosing
{
    public function __construct(public string $handoutId)
    {
    }
}
