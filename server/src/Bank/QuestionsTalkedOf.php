<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Repository\QuestionRepository;

final readonly class QuestionsTalkedOf implements TalkedOf
{
    public function __construct(private QuestionRepository $questions)
    {
    }

    public function isAbout(): RemarkOn
    {
        return RemarkOn::Question;
    }

    public function has(string $teamId, string $id): bool
    {
        return $this->questions->find($teamId, $id) !== null;
    }

    public function hold(string $teamId, string $id): bool
    {
        return $this->questions->findLocked($teamId, $id) !== null;
    }
}
