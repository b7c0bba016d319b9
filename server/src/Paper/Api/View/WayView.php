<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api\View;

/** A way through a paper, how many went it, and what it is for them. */
final readonly class WayView
{
    /**
     * @param string       $way      titles of the sections in the order they were entered
     * @param list<string> $sections their ids
     * @param string       $points   on offer, each question's once
     * @param float        $half     seconds that half of those who went so stay within
     * @param float        $most     seconds that nine in ten of them stay within
     */
    public function __construct(
        public string $way,
        public array $sections,
        public ShareView $students,
        public int $leastQuestions,
        public int $mostQuestions,
        public string $points,
        public float $half,
        public float $most,
    ) {
    }
}
