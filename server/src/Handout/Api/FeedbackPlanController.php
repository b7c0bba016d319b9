<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api;

use ChalkLadder\Server\Handout\Api\Input\KeptPlanInput;
use ChalkLadder\Server\Handout\Api\Input\PlanInUseInput;
use ChalkLadder\Server\Handout\Api\View\KeptPlansView;
use ChalkLadder\Server\Handout\Api\View\PlanSaidView;
use ChalkLadder\Server\Handout\FeedbackPlans;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route('/feedback-plans')]
final readonly class FeedbackPlanController
{
    public function __construct(private FeedbackPlans $plans)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): KeptPlansView
    {
        return $this->plans->of($who->teamId);
    }

    #[Route('', methods: ['POST'])]
    public function keep(#[CurrentUser] StaffUser $who, #[MapRequestPayload] KeptPlanInput $input): KeptPlansView
    {
        return $this->plans->keep($who, $input);
    }

    #[Route('/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function drop(#[CurrentUser] StaffUser $who, string $id): KeptPlansView
    {
        return $this->plans->drop($who, $id);
    }

    /** Nothing is kept by it. */
    #[Route('/read', methods: ['POST'])]
    public function read(#[CurrentUser] StaffUser $who, #[MapRequestPayload] PlanInUseInput $input): PlanSaidView
    {
        return $this->plans->read($who, $input);
    }
}
