<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api\View;

/** What became of a question in one handout. */
final readonly class UseView
{
    /** @param list<ClassUseView> $classes where there were several */
    public function __construct(
        public string $handoutId,
        public string $handout,
        public string $madeAt,
        public int $edition,
        public array $classes,
        public QuestionView $question,
    ) {
    }
}
