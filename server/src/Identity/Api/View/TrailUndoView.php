<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api\View;

/** What takes a change of the trail back. */
final readonly class TrailUndoView
{
    /**
     * @param string      $kind   `key`, `item`, `paper`, `grouping` or `student`
     * @param string      $id     of the key change, question, paper, grouping or student
     * @param string|null $within of the class, where it is a student
     */
    public function __construct(public string $kind, public string $id, public ?string $within)
    {
    }
}
