<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api\View;

/** What would be made of some notes. */
final readonly class NotesView
{
    /** @param list<NotedQuestionView> $questions in their order */
    public function __construct(public array $questions)
    {
    }
}
