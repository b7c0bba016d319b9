<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers;

use ChalkLadder\Core\Item\ProposedQuestion;
use ChalkLadder\Server\Peers\Api\Input\PickInput;
use ChalkLadder\Server\Peers\Api\Input\ProposalInput;
use ChalkLadder\Server\Peers\Api\View\OwnInvitationsView;
use ChalkLadder\Server\Peers\Entity\Invitation;
use ChalkLadder\Server\Peers\Entity\Proposal;
use ChalkLadder\Server\Peers\ReadModel\OwnProposals;
use ChalkLadder\Server\Peers\ReadModel\ProposalList;
use ChalkLadder\Server\Peers\Repository\InvitationRepository;
use ChalkLadder\Server\Peers\Repository\ProposalRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\Clock\ClockInterface;

/** What students write when their class is asked to, and answer of what others wrote. */
final readonly class Proposals
{
    private const MOST_EACH = 20;

    public function __construct(
        private InvitationRepository $invitations,
        private ProposalRepository $proposals,
        private ProposalList $list,
        private OwnProposals $own,
        private Transaction $transaction,
        private ClockInterface $clock,
    ) {
    }

    public function of(StudentUser $who): OwnInvitationsView
    {
        return new OwnInvitationsView($this->own->of($who->id));
    }

    public function write(StudentUser $who, string $id, ProposalInput $input): OwnInvitationsView
    {
        $content = ProposedQuestion::read($input->question);
        $this->transaction->run(function () use ($who, $id, $input, $content): void {
            $invitation = $this->invited($who, strtolower($input->invitationId));
            $known = $this->proposals->findLocked($who->teamId, $id);
            if ($known === null) {
                $this->begin($who, $id, $invitation, $content);

                return;
            }
            if (!$known->isOf($who->id) || $known->invitationId() !== $invitation->id()) {
                throw Problem::notFound('The question');
            }
            $this->rewrite($known, $content, $input->version);
        });

        return $this->of($who);
    }

    public function answer(StudentUser $who, string $id, PickInput $input): OwnInvitationsView
    {
        $this->transaction->run(function () use ($who, $id, $input): void {
            $proposal = $this->proposals->findLocked($who->teamId, $id);
            if ($proposal?->mayBeAnsweredBy($who->id) !== true || !$this->own->isInvited($who->id, $proposal->invitationId())) {
                throw Problem::notFound('The question');
            }
            if ($proposal->version() !== $input->version) {
                throw Problem::conflict('This question has changed meanwhile.', 'Read it again; it is as it is now.');
            }
            if (!isset($proposal->content()->options[$input->option])) {
                throw Problem::invalid(['option' => 'This is none of the options.']);
            }
            $proposal->answer($who->id, $input->option, $this->clock->now());
        });

        return $this->of($who);
    }

    private function begin(StudentUser $who, string $id, Invitation $invitation, ProposedQuestion $content): void
    {
        if (!$invitation->isOpen()) {
            throw Problem::conflict('No more questions are taken on this topic.', 'What you wrote is still here: copy it if you want to keep it.');
        }
        if ($this->list->countOf($invitation->id(), $who->id) >= self::MOST_EACH) {
            throw Problem::invalid(['prompt' => sprintf('You have written %d already. Make one of those better.', self::MOST_EACH)]);
        }
        $this->proposals->add(new Proposal($id, $who->teamId, $invitation->id(), $who->id, $content, $this->clock->now()));
    }

    private function rewrite(Proposal $proposal, ProposedQuestion $content, int $version): void
    {
        // The answer to what was sent got lost on the way, and it is sent again.
        if ($proposal->content()->toArray() === $content->toArray()) {
            return;
        }
        if ($proposal->version() !== $version) {
            throw Problem::conflict('You have changed this on another device.', 'Look at it there, or send this one as a new question.');
        }
        if (!$proposal->mayBeRewritten()) {
            throw Problem::conflict('This question cannot be changed any more.', 'Your class answers it, or it is in the bank. Write another one.');
        }
        $proposal->rewrite($content, $this->clock->now());
    }

    /** Held until the act ends, so that a student's questions are counted one after the other. */
    private function invited(StudentUser $who, string $id): Invitation
    {
        $invitation = $this->invitations->findLocked($who->teamId, $id);

        return $invitation !== null && $this->own->isInvited($who->id, $id) ? $invitation : throw Problem::notFound('The invitation');
    }
}
