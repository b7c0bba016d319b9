<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

/** Where the team's questions stand; told by the room of papers. */
interface QuestionUses
{
    /** @return list<string> titles of the papers that hold the question now */
    public function papers(string $teamId, string $questionId): array;

    /** @return list<string> ids of the team's questions that stand in a published paper */
    public function used(string $teamId): array;

    /**
     * @param list<string> $questionIds
     *
     * @return array<string, int> how many papers have been published with it, by question; none is absent
     */
    public function counts(array $questionIds): array;
}
