<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\HintInput;
use ChalkLadder\Server\Sitting\Api\Input\LeftInput;
use ChalkLadder\Server\Sitting\Api\Input\PlayedInput;
use ChalkLadder\Server\Sitting\Api\Input\ReplyInput;
use ChalkLadder\Server\Sitting\Api\Input\StepInput;
use ChalkLadder\Server\Sitting\Api\Input\VisitInput;
use ChalkLadder\Server\Sitting\Api\View\OwnWorkView;
use ChalkLadder\Server\Sitting\Api\View\PlayedView;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Attending;
use ChalkLadder\Server\Sitting\Sittings;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_STUDENT')]
#[Route('/me', requirements: ['id' => Requirement::UUID])]
final readonly class SittingController
{
    public function __construct(private Sittings $sittings, private Attending $attending)
    {
    }

    #[Route('/work', methods: ['GET'])]
    public function work(#[CurrentUser] StudentUser $who): OwnWorkView
    {
        return $this->sittings->work($who);
    }

    #[Route('/handouts/{id}/open', methods: ['POST'])]
    public function open(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        return $this->sittings->open($who, $id);
    }

    #[Route('/sittings/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        return $this->sittings->show($who, $id);
    }

    #[Route('/sittings/{id}/played', methods: ['PUT'])]
    public function played(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] PlayedInput $input): PlayedView
    {
        return $this->attending->played($who, $id, $input);
    }

    #[Route('/sittings/{id}/left/{leave}', methods: ['PUT'], requirements: ['leave' => Requirement::UUID])]
    public function left(#[CurrentUser] StudentUser $who, string $id, string $leave, #[MapRequestPayload] LeftInput $input): void
    {
        $this->attending->left($who, $id, $leave, $input->seconds);
    }

    #[Route('/sittings/{id}/settle', methods: ['POST'])]
    public function settle(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] StepInput $input): SittingView
    {
        return $this->sittings->settle($who, $id, $input);
    }

    #[Route('/sittings/{id}/hint', methods: ['POST'])]
    public function hint(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] HintInput $input): SittingView
    {
        return $this->sittings->hint($who, $id, $input);
    }

    #[Route('/sittings/{id}/go-on', methods: ['POST'])]
    public function goOn(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] VisitInput $input): SittingView
    {
        return $this->sittings->goOn($who, $id, $input);
    }

    #[Route('/sittings/{id}/hand-in', methods: ['POST'])]
    public function handIn(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] VisitInput $input): SittingView
    {
        return $this->sittings->handIn($who, $id, $input);
    }

    #[Route('/sittings/{id}/reply', methods: ['POST'])]
    public function reply(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] ReplyInput $input): SittingView
    {
        return $this->sittings->reply($who, $id, $input);
    }
}
