<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting;

final readonly class StudentSessionView
{
    public function __construct(public string $name)
    {
    }
}
