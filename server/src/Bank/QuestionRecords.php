<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\View\RecordLineView;

/** What is known of questions from all their uses, counted as results are counted; told by the room of results. */
interface QuestionRecords
{
    /**
     * @param list<string> $questionIds of the asking team’s
     *
     * @return array<string, ItemRecord> by id; a question that nobody has answered is absent
     */
    public function of(array $questionIds): array;

    /** @return array<string, float> mean credit so far of every question of the team that was sat, by id */
    public function facilities(string $teamId): array;

    /** @return list<RecordLineView> how often each answer line was taken, the most frequent first */
    public function lines(string $questionId): array;
}
