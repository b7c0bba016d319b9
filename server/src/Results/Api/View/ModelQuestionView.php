<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** A question under the models. Fit: mean squares, 1 where the Rasch model fits. Slope: of the two-parameter model. */
final readonly class ModelQuestionView
{
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public FigureView $difficulty,
        public ?float $infit,
        public ?float $outfit,
        public FigureView $slope,
        public ?string $note,
    ) {
    }
}
