<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\CopyInput;
use ChalkLadder\Server\Bank\Api\Input\ManyInput;
use ChalkLadder\Server\Bank\Api\Input\ManySkillsInput;
use ChalkLadder\Server\Bank\Api\Input\MergeInput;
use ChalkLadder\Server\Bank\Api\View\KeptNotesView;
use ChalkLadder\Server\Bank\Api\View\ManySkillsView;
use ChalkLadder\Server\Bank\ManyQuestions;
use ChalkLadder\Server\Bank\QuestionMerging;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class ManyController
{
    public function __construct(private ManyQuestions $many, private QuestionMerging $merging)
    {
    }

    #[Route('/items/many/archive', methods: ['POST'])]
    public function archive(#[CurrentUser] StaffUser $who, #[MapRequestPayload] ManyInput $input): void
    {
        $this->many->archive($who, $input->ids);
    }

    #[Route('/items/many/restore', methods: ['POST'])]
    public function restore(#[CurrentUser] StaffUser $who, #[MapRequestPayload] ManyInput $input): void
    {
        $this->many->restore($who, $input->ids);
    }

    #[Route('/items/many/copy', methods: ['POST'])]
    public function copy(#[CurrentUser] StaffUser $who, #[MapRequestPayload] CopyInput $input): KeptNotesView
    {
        return $this->many->copy($who, $input);
    }

    #[Route('/items/{id}/part-of', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function putTogether(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] MergeInput $input): void
    {
        $this->merging->putTogether($who, $id, $input->into);
    }

    #[Route('/items/many/skills', methods: ['POST'])]
    public function skills(#[CurrentUser] StaffUser $who, #[MapRequestPayload] ManySkillsInput $input): ManySkillsView
    {
        return $this->many->setSkills($who, $input->skills);
    }
}
