<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

final readonly class OwnSkillView
{
    /**
     * @param float  $credit   sum over the answers that count, 0…n
     * @param int    $n        how many answers count: the latest that were marked
     * @param int    $rung     1 for the lowest; 0 while there are too few answers
     * @param string $rungName '' while there are too few
     */
    public function __construct(
        public string $name,
        public float $credit,
        public int $n,
        public int $rung,
        public string $rungName,
    ) {
    }
}
