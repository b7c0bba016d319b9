<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\RemarkInput;
use ChalkLadder\Server\Bank\Api\View\RemarksView;
use ChalkLadder\Server\Bank\RemarkOn;
use ChalkLadder\Server\Bank\Remarks;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class RemarkController
{
    public function __construct(private Remarks $remarks)
    {
    }

    #[Route('/items/{id}/remarks', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who, string $id): RemarksView
    {
        return $this->remarks->of($who, RemarkOn::Question, $id);
    }

    #[Route('/items/{id}/remarks', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function add(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RemarkInput $input): RemarksView
    {
        return $this->remarks->add($who, RemarkOn::Question, $id, $input);
    }

    #[Route('/papers/{id}/remarks', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function onPaper(#[CurrentUser] StaffUser $who, string $id): RemarksView
    {
        return $this->remarks->of($who, RemarkOn::Paper, $id);
    }

    #[Route('/papers/{id}/remarks', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function addToPaper(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RemarkInput $input): RemarksView
    {
        return $this->remarks->add($who, RemarkOn::Paper, $id, $input);
    }

    #[Route('/remarks/{id}/settle', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function settle(#[CurrentUser] StaffUser $who, string $id): RemarksView
    {
        return $this->remarks->settle($who, $id);
    }

    #[Route('/remarks/{id}/reopen', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function reopen(#[CurrentUser] StaffUser $who, string $id): RemarksView
    {
        return $this->remarks->reopen($who, $id);
    }

    #[Route('/remarks/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function remove(#[CurrentUser] StaffUser $who, string $id): RemarksView
    {
        return $this->remarks->remove($who, $id);
    }
}
