<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

use ChalkLadder\Core\Analysis\Figure;

/** A number with its n, interval and the words that say how it was computed. */
final readonly class FigureView
{
    public function __construct(
        public ?float $value,
        public int $n,
        public ?float $low,
        public ?float $high,
        public string $formula,
        public ?string $note,
    ) {
    }

    public static function of(Figure $figure): self
    {
        return new self($figure->value, $figure->n, $figure->low, $figure->high, $figure->formula, $figure->note);
    }
}
