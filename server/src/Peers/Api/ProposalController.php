<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Peers\Api;

use ChalkLadder\Server\Peers\Api\Input\PickInput;
use ChalkLadder\Server\Peers\Api\Input\ProposalInput;
use ChalkLadder\Server\Peers\Api\View\OwnInvitationsView;
use ChalkLadder\Server\Peers\Proposals;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_STUDENT')]
#[Route('/me', requirements: ['id' => Requirement::UUID])]
final readonly class ProposalController
{
    public function __construct(private Proposals $proposals)
    {
    }

    #[Route('/invitations', methods: ['GET'])]
    public function list(#[CurrentUser] StudentUser $who): OwnInvitationsView
    {
        return $this->proposals->of($who);
    }

    #[Route('/proposals/{id}', methods: ['PUT'])]
    public function write(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] ProposalInput $input): OwnInvitationsView
    {
        return $this->proposals->write($who, $id, $input);
    }

    #[Route('/proposals/{id}/answer', methods: ['POST'])]
    public function answer(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] PickInput $input): OwnInvitationsView
    {
        return $this->proposals->answer($who, $id, $input);
    }
}
