<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank;

use ChalkLadder\Server\Bank\Api\Input\RemarkInput;
use ChalkLadder\Server\Bank\Api\View\RemarksView;
use ChalkLadder\Server\Bank\Entity\Remark;
use ChalkLadder\Server\Bank\ReadModel\RemarkList;
use ChalkLadder\Server\Bank\Repository\QuestionRepository;
use ChalkLadder\Server\Bank\Repository\RemarkRepository;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;

/** What the team says about its questions: pinned to a part, open until settled. */
final readonly class Remarks
{
    public function __construct(
        private QuestionRepository $questions,
        private RemarkRepository $remarks,
        private RemarkList $list,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function of(StaffUser $who, string $questionId): RemarksView
    {
        $this->questions->find($who->teamId, $questionId) ?? throw Problem::notFound('The question');

        return new RemarksView($this->list->of($who->teamId, $questionId, $who->id));
    }

    public function add(StaffUser $who, string $questionId, RemarkInput $input): RemarksView
    {
        $this->transaction->run(function () use ($who, $questionId, $input): void {
            // The question's row makes two of the same wait for each other.
            $this->questions->findLocked($who->teamId, $questionId) ?? throw Problem::notFound('The question');
            $again = $this->remarks->find($who->teamId, strtolower($input->id));
            if ($again !== null) {
                return;
            }
            $this->remarks->add(new Remark(
                strtolower($input->id),
                $who->teamId,
                $questionId,
                $input->part,
                trim($input->text),
                $who->id,
                $this->clock->now(),
            ));
        });

        return $this->of($who, $questionId);
    }

    public function settle(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, fn (Remark $remark) => $remark->settle($who->id, $this->clock->now()));
    }

    public function reopen(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, static fn (Remark $remark) => $remark->reopen());
    }

    public function remove(StaffUser $who, string $id): RemarksView
    {
        return $this->changed($who, $id, fn (Remark $remark) => $remark->isOf($who->id)
            ? $this->remarks->remove($remark)
            : throw Problem::conflict('This remark is somebody else’s.', 'Settle it instead.'));
    }

    /** @param \Closure(Remark): void $change */
    private function changed(StaffUser $who, string $id, \Closure $change): RemarksView
    {
        $questionId = $this->transaction->run(function () use ($who, $id, $change): string {
            $remark = $this->remarks->findLocked($who->teamId, $id) ?? throw Problem::notFound('The remark');
            $change($remark);

            return $remark->questionId();
        });

        return $this->of($who, $questionId);
    }
}
