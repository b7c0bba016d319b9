<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class OptionView
{
    public function __construct(
        public string $id,
        public string $letter,
        public string $text,
        public bool $key,
        public int $count,
        public float $share,
        public float $lower,
        public float $middle,
        public float $upper,
        public ?float $rest,
        public ?bool $works,
        public ?string $misconception,
    ) {
    }
}
