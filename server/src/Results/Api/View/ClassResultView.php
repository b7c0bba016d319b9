<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** One class: its share of the marks, how far it lies from all the others, and questions that differ beyond that. */
final readonly class ClassResultView
{
    /** @param list<DifferingView> $differing questions that are harder or easier for this class than for others of the same score */
    public function __construct(
        public string $name,
        public FigureView $share,
        public FigureView $difference,
        public FigureView $effect,
        public array $differing,
    ) {
    }
}
