<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** A skill or misconception, with how many questions of the bank name it. */
final readonly class TermView
{
    /** @param list<AlsoView> $also what turned out to be the same and was put together with it */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $parent,
        public string $looksLike,
        public string $nextStep,
        public int $questions,
        public array $also = [],
    ) {
    }
}
