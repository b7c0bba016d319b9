<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api\View;

/** A student who has a question right and is free to help with it. */
final readonly class HelperView
{
    /** @param bool $done has handed in */
    public function __construct(public string $id, public string $name, public bool $done)
    {
    }
}
