<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class RungView
{
    public function __construct(
        public string $name,
        public float $from,
        public int $students,
    ) {
    }
}
