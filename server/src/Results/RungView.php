<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

final readonly class RungView
{
    public function __construct(
        public string $name,
        public float $from,
        public int $students,
    ) {
    }
}
