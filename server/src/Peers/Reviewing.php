<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers;

use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Peers\Api\View\QueueView;
use ChalkLadder\Server\Peers\Entity\Proposal;
use ChalkLadder\Server\Peers\Repository\ProposalRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;

/** What a teacher does with a student's question: shows it to the class, lets it into the bank, or sends it back with words. */
final readonly class Reviewing
{
    public function __construct(
        private ProposalRepository $proposals,
        private Invitations $queues,
        private Bank $bank,
        private Transaction $transaction,
    ) {
    }

    public function show(StaffUser $who, string $id, bool $named): QueueView
    {
        return $this->changed($who, $id, static fn (Proposal $proposal) => $proposal->show($named));
    }

    public function hide(StaffUser $who, string $id): QueueView
    {
        return $this->changed($who, $id, static fn (Proposal $proposal) => $proposal->hide());
    }

    public function sendBack(StaffUser $who, string $id, string $words): QueueView
    {
        return $this->changed($who, $id, static function (Proposal $proposal) use ($words): void {
            if ($proposal->state() === ProposalState::LetIn) {
                throw Problem::conflict('This question is in the bank.', 'Take it back first.');
            }
            $proposal->sendBack(trim($words));
        });
    }

    /** Twice is once. */
    public function letIn(StaffUser $who, string $id, bool $named): QueueView
    {
        return $this->changed($who, $id, function (Proposal $proposal) use ($who, $named): void {
            if ($proposal->state() === ProposalState::LetIn) {
                return;
            }
            $question = $this->bank->create($who, new ItemInput($proposal->content()->asQuestion()));
            $this->transaction->write();
            $proposal->letIn($question->id, $named);
        });
    }

    /** Undoes letting in and sending back: the question waits again, and what was made of it leaves the bank's list. */
    public function takeBack(StaffUser $who, string $id): QueueView
    {
        return $this->changed($who, $id, function (Proposal $proposal) use ($who): void {
            if ($proposal->itemId() !== null) {
                $this->bank->archive($who, $proposal->itemId());
            }
            $proposal->wait();
        });
    }

    /** @param \Closure(Proposal): void $change */
    private function changed(StaffUser $who, string $id, \Closure $change): QueueView
    {
        $invitation = $this->transaction->run(function () use ($who, $id, $change): string {
            $proposal = $this->proposals->findLocked($who->teamId, $id) ?? throw Problem::notFound('The question');
            $change($proposal);

            return $proposal->invitationId();
        });

        return $this->queues->queue($who->teamId, $invitation);
    }
}
