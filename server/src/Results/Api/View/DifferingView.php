<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A question that is not alike for two groups of the same score. */
final readonly class DifferingView
{
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public FigureView $delta,
        public string $class,
    ) {
    }
}
