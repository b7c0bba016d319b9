<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** A skill or misconception that was put together with another one, which stands for both. */
final readonly class AlsoView
{
    public function __construct(public string $id, public string $name)
    {
    }
}
