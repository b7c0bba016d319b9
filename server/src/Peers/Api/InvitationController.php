<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Peers\Api\Input\InvitationInput;
use ChalkLadder\Server\Peers\Api\Input\NamedInput;
use ChalkLadder\Server\Peers\Api\Input\WordsInput;
use ChalkLadder\Server\Peers\Api\View\InvitationListView;
use ChalkLadder\Server\Peers\Api\View\QueueView;
use ChalkLadder\Server\Peers\Invitations;
use ChalkLadder\Server\Peers\Reviewing;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class InvitationController
{
    public function __construct(private Invitations $invitations, private Reviewing $reviewing)
    {
    }

    #[Route('/invitations', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): InvitationListView
    {
        return $this->invitations->list($who->teamId);
    }

    #[Route('/invitations', methods: ['POST'])]
    public function open(#[CurrentUser] StaffUser $who, #[MapRequestPayload] InvitationInput $input): InvitationListView
    {
        return $this->invitations->open($who, $input);
    }

    #[Route('/invitations/{id}', methods: ['GET'])]
    public function queue(#[CurrentUser] StaffUser $who, string $id): QueueView
    {
        return $this->invitations->queue($who->teamId, $id);
    }

    #[Route('/invitations/{id}/close', methods: ['POST'])]
    public function close(#[CurrentUser] StaffUser $who, string $id): InvitationListView
    {
        return $this->invitations->close($who, $id);
    }

    #[Route('/invitations/{id}/reopen', methods: ['POST'])]
    public function reopen(#[CurrentUser] StaffUser $who, string $id): InvitationListView
    {
        return $this->invitations->reopen($who, $id);
    }

    #[Route('/proposals/{id}/show', methods: ['POST'])]
    public function show(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] NamedInput $input): QueueView
    {
        return $this->reviewing->show($who, $id, $input->named);
    }

    #[Route('/proposals/{id}/hide', methods: ['POST'])]
    public function hide(#[CurrentUser] StaffUser $who, string $id): QueueView
    {
        return $this->reviewing->hide($who, $id);
    }

    #[Route('/proposals/{id}/send-back', methods: ['POST'])]
    public function sendBack(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] WordsInput $input): QueueView
    {
        return $this->reviewing->sendBack($who, $id, $input->words);
    }

    #[Route('/proposals/{id}/let-in', methods: ['POST'])]
    public function letIn(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] NamedInput $input): QueueView
    {
        return $this->reviewing->letIn($who, $id, $input->named);
    }

    #[Route('/proposals/{id}/take-back', methods: ['POST'])]
    public function takeBack(#[CurrentUser] StaffUser $who, string $id): QueueView
    {
        return $this->reviewing->takeBack($who, $id);
    }
}
