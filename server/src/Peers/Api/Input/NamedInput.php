<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api\Input;

final readonly class NamedInput
{
    /** @param bool $named its writer is named with it */
    public function __construct(public bool $named = false)
    {
    }
}
