<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** A handout with work that is marked, counted in students. */
final readonly class ReadyView
{
    /**
     * @param list<string> $classes  names
     * @param string|null  $group    name of the group it was handed to, where it is a follow-up
     * @param int          $ready    marked, and not yet returned
     * @param int          $waiting  handed in, with an answer that waits for a marker
     * @param int          $returned back with the student
     */
    public function __construct(
        public string $handoutId,
        public string $handout,
        public array $classes,
        public ?string $group,
        public int $ready,
        public int $waiting,
        public int $returned,
    ) {
    }
}
