<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api\Input;

/** Whether a class comes in by three pictures as well as by PIN. */
final readonly class PicturesInput
{
    public function __construct(public bool $on = false)
    {
    }
}
