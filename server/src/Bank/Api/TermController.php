<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\MergeInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Api\View\TermsView;
use ChalkLadder\Server\Bank\Api\View\TermView;
use ChalkLadder\Server\Bank\TermKind;
use ChalkLadder\Server\Bank\TermMerging;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The team's skills and misconceptions: named, placed, put together. */
#[IsGranted('ROLE_TEACHER')]
final readonly class TermController
{
    public function __construct(private Terms $terms, private TermMerging $merging)
    {
    }

    #[Route('/bank/terms', methods: ['GET'])]
    public function terms(#[CurrentUser] StaffUser $who): TermsView
    {
        return $this->terms->all($who->teamId);
    }

    #[Route('/bank/skills', methods: ['POST'])]
    public function addSkill(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->addSkill($who, $input);
    }

    #[Route('/bank/misconceptions', methods: ['POST'])]
    public function addMisconception(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->addMisconception($who, $input);
    }

    #[Route('/bank/skills/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function changeSkill(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->changeSkill($who, $id, $input);
    }

    #[Route('/bank/misconceptions/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function changeMisconception(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->changeMisconception($who, $id, $input);
    }

    #[Dear]
    #[Route('/bank/{kind}/{id}/part-of', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function putTogether(
        #[CurrentUser] StaffUser $who,
        TermKind $kind,
        string $id,
        #[MapRequestPayload] MergeInput $input,
    ): TermsView {
        return $this->merging->putTogether($who, $kind, $id, $input->into);
    }

    #[Dear]
    #[Route('/bank/{kind}/{id}/part-of', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function takeApart(#[CurrentUser] StaffUser $who, TermKind $kind, string $id): TermsView
    {
        return $this->merging->takeApart($who, $kind, $id);
    }
}
