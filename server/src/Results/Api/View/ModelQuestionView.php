<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/**
 * A question under the models. Fit: mean squares, 1 where the Rasch model fits; null where part credit is given. Slope: of the
 * two-parameter model.
 */
final readonly class ModelQuestionView
{
    /** @param list<float> $steps where one credit becomes as likely as the next, in logits; empty where it is right or wrong as a whole */
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public FigureView $difficulty,
        public array $steps,
        public ?float $infit,
        public ?float $outfit,
        public FigureView $slope,
        public ?string $note,
    ) {
    }
}
