<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Regroup\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Regroup\Api\Input\FollowUpsInput;
use ChalkLadder\Server\Regroup\Api\Input\GroupingInput;
use ChalkLadder\Server\Regroup\Api\Input\MoveInput;
use ChalkLadder\Server\Regroup\Api\Input\PlanInput;
use ChalkLadder\Server\Regroup\Api\View\GroupingListView;
use ChalkLadder\Server\Regroup\Api\View\GroupingView;
use ChalkLadder\Server\Regroup\Groupings;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class RegroupController
{
    public function __construct(private Groupings $groupings)
    {
    }

    #[Route('/handouts/{id}/groups', methods: ['GET'])]
    public function propose(
        #[CurrentUser] StaffUser $who,
        string $id,
        #[MapQueryParameter] string $by = 'rung',
        #[MapQueryParameter] string $class = '',
    ): GroupingView {
        return $this->groupings->propose($who->teamId, $id, $by === 'misconception' ? 'misconception' : 'rung', $class);
    }

    /** Forms groups by a plan. Nothing is kept by it. */
    #[Dear]
    #[Route('/handouts/{id}/groups', methods: ['POST'])]
    public function form(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] PlanInput $input): GroupingView
    {
        return $this->groupings->form($who->teamId, $id, $input);
    }

    #[Route('/handouts/{id}/groupings', methods: ['POST'])]
    public function keep(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] GroupingInput $input): GroupingView
    {
        return $this->groupings->keep($who, $id, $input);
    }

    #[Route('/groupings', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): GroupingListView
    {
        return $this->groupings->list($who->teamId);
    }

    #[Route('/groupings/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): GroupingView
    {
        return $this->groupings->show($who->teamId, $id);
    }

    #[Route('/groupings/{id}', methods: ['DELETE'])]
    public function archive(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->groupings->archive($who, $id);
    }

    #[Route('/groupings/{id}/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->groupings->restore($who, $id);
    }

    #[Route('/groupings/{id}/moves', methods: ['POST'])]
    public function move(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] MoveInput $input): GroupingView
    {
        return $this->groupings->move($who, $id, $input);
    }

    #[Route('/groupings/{id}/follow-ups', methods: ['POST'])]
    public function followUp(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] FollowUpsInput $input): GroupingView
    {
        return $this->groupings->followUp($who, $id, $input);
    }
}
