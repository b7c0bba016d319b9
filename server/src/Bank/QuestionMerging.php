<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Entity\Question;
use ChalkLadder\Server\Bank\ReadModel\QuestionList;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/**
 * Two questions that are the same become one: drafts take the other, this one is put away, and its record counts to the other's. Published
 * papers keep what they have. When it comes back into the bank, it stands for itself again.
 */
final readonly class QuestionMerging
{
    public function __construct(
        private QuestionRepository $questions,
        private QuestionList $list,
        private NamesElsewhere $elsewhere,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function putTogether(StaffUser $who, string $id, string $into): void
    {
        // Ids are the same however they are written.
        $into = strtolower($into);
        $this->transaction->run(function () use ($who, $id, $into): void {
            [$one, $other] = $this->questions->findTwoLocked($who->teamId, $id, $into) ?? throw Problem::notFound('One of the two');
            if ($one === $other || $one->isArchived() || $other->isArchived()) {
                throw Problem::conflict('These two cannot be put together.', 'Both have to stand in the bank.');
            }
            $papers = $this->elsewhere->call($who->teamId, $who->id, $id, $into);
            foreach ($this->list->mergedInto($who->teamId, $id) as $earlier) {
                $this->questions->findLocked($who->teamId, $earlier)?->follow($into, $papers['mixed']);
            }
            $one->mergeInto($into, ['questions' => [], 'children' => [], 'papers' => $papers['alone']], $who->id);
            $one->archive($who->id, $this->clock->now());
        });
    }

    /** Brings one that was put away back into the bank; within the act of the asker. */
    public function restore(StaffUser $who, Question $question): void
    {
        $into = $question->mergedInto();
        $question->restore($who->id);
        if ($into !== null) {
            $what = $question->takeApart($who->id);
            $this->elsewhere->call($who->teamId, $who->id, $into, $question->id(), $what['papers']);
        }
    }
}
