<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Peers\Api\Input\InvitationInput;
use ChalkLadder\Server\Peers\Api\View\InvitationListView;
use ChalkLadder\Server\Peers\Api\View\QueueView;
use ChalkLadder\Server\Peers\Entity\Invitation;
use ChalkLadder\Server\Peers\ReadModel\InvitationList;
use ChalkLadder\Server\Peers\ReadModel\ProposalList;
use ChalkLadder\Server\Peers\Repository\InvitationRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\ReadModel\RosterList;
use Symfony\Component\Clock\ClockInterface;

/** Classes that are asked to write questions on a topic, and what came of it. */
final readonly class Invitations
{
    private const MOST_OPEN = 50;

    public function __construct(
        private InvitationRepository $invitations,
        private InvitationList $list,
        private ProposalList $proposals,
        private RosterList $rosters,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function list(string $teamId): InvitationListView
    {
        return new InvitationListView($this->list->of($teamId));
    }

    public function queue(string $teamId, string $id): QueueView
    {
        $row = $this->list->of($teamId, $id)[0] ?? throw Problem::notFound('The invitation');

        return new QueueView($row, $this->proposals->of($id));
    }

    public function open(StaffUser $who, InvitationInput $input): InvitationListView
    {
        $this->transaction->run(function () use ($who, $input): void {
            $id = strtolower($input->id);
            $class = strtolower($input->classId);
            $this->list->hold($who->teamId);
            if ($this->invitations->find($who->teamId, $id) !== null) {
                return;
            }
            if ($this->rosters->classesAmong($who->teamId, [$class]) === []) {
                throw Problem::notFound('The class');
            }
            if ($this->list->openOf($who->teamId) >= self::MOST_OPEN) {
                throw Problem::invalid(['topic' => sprintf('%d are open already. Close one first.', self::MOST_OPEN)]);
            }
            $this->invitations->add(new Invitation($id, $who->teamId, $class, trim($input->topic), $who->id, $this->clock->now()));
        });

        return $this->list($who->teamId);
    }

    public function close(StaffUser $who, string $id): InvitationListView
    {
        return $this->changed($who, $id, fn (Invitation $invitation) => $invitation->close($this->clock->now()));
    }

    public function reopen(StaffUser $who, string $id): InvitationListView
    {
        return $this->changed($who, $id, static fn (Invitation $invitation) => $invitation->reopen());
    }

    /** @param \Closure(Invitation): void $change */
    private function changed(StaffUser $who, string $id, \Closure $change): InvitationListView
    {
        $this->transaction->run(function () use ($who, $id, $change): void {
            $change($this->invitations->findLocked($who->teamId, $id) ?? throw Problem::notFound('The invitation'));
        });

        return $this->list($who->teamId);
    }
}
