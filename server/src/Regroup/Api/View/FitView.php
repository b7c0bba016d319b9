<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api\View;

/** How good formed groups are. */
final readonly class FitView
{
    /**
     * @param float|null   $bound  what no grouping can pass
     * @param string       $better which way the value is better: "less" or "more"
     * @param list<string> $broken constraints that are not kept
     * @param string|null  $clash  why they cannot all be kept, where that was found
     * @param list<float>  $elsewhere the value with the considered student in each of the groups
     */
    public function __construct(
        public float $value,
        public ?float $bound,
        public string $measure,
        public string $better,
        public array $broken,
        public ?string $clash,
        public array $elsewhere = [],
    ) {
    }
}
