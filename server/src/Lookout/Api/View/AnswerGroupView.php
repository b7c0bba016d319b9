<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api\View;

/** Students who have given the same, or picked the same. */
final readonly class AnswerGroupView
{
    /**
     * @param string       $letter        of an option, or ''
     * @param string       $code          right, part, wrong, waits, said
     * @param list<string> $students      ids
     * @param string       $misconception what it shows, or ''
     */
    public function __construct(
        public string $letter,
        public string $label,
        public string $code,
        public array $students,
        public string $misconception,
    ) {
    }
}
