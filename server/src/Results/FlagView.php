<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

final readonly class FlagView
{
    public function __construct(
        public string $kind,
        public string $evidence,
        public ?string $option,
    ) {
    }
}
