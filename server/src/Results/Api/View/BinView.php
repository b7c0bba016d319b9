<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** Students whose marks lie from (inclusive) to (exclusive; the last bin includes it). */
final readonly class BinView
{
    public function __construct(
        public float $from,
        public float $to,
        public int $students,
    ) {
    }
}
