<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api\View;

/** A question of a handout with answers to mark. */
final readonly class WaitingView
{
    /** @param list<string> $classes names */
    public function __construct(
        public string $handoutId,
        public string $handout,
        public array $classes,
        public string $entry,
        public int $number,
        public string $question,
        public int $waiting,
        public int $answers,
    ) {
    }
}
