<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A student who has shown a misconception. */
final readonly class HolderView
{
    public function __construct(
        public string $studentId,
        public string $name,
        public int $shown,
        public int $offered,
        public FigureView $rate,
        public bool $likely,
    ) {
    }
}
