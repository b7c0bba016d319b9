<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/**
 * A question, or a part of one, whose key has a rival. Rivalry: 1 when half take each. Letters are of options; a part is
 * named where there is one.
 */
final readonly class ConfusionView
{
    public function __construct(
        public string $entry,
        public int $number,
        public string $title,
        public string $part,
        public string $key,
        public string $keyText,
        public string $rival,
        public string $rivalText,
        public int $keyCount,
        public int $rivalCount,
        public int $upperKey,
        public int $upperRival,
        public int $n,
        public float $rivalry,
        public float $p,
        public bool $few,
        public ?string $misconception,
    ) {
    }
}
