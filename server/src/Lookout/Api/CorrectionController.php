<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\CorrectionInput;
use ChalkLadder\Server\Sitting\Corrections;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class CorrectionController
{
    public function __construct(private Corrections $corrections)
    {
    }

    #[Route('/sittings/{id}/corrections', methods: ['POST'])]
    public function correct(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] CorrectionInput $input): void
    {
        $this->corrections->correct($who, $id, $input->entry, $input->try, strtolower($input->id), $input->value, trim($input->why));
    }

    #[Route('/corrections/{id}', methods: ['DELETE'])]
    public function undo(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->corrections->undo($who, strtolower($id));
    }
}
