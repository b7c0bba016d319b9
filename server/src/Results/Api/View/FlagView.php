<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class FlagView
{
    public function __construct(
        public string $kind,
        public string $evidence,
        public ?string $option,
    ) {
    }
}
