<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Roster\Api\Input\MergeInput;
use ChalkLadder\Server\Roster\Doubles;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class DoublesController
{
    public function __construct(private Doubles $doubles)
    {
    }

    #[Route('/students/{id}/merge', methods: ['POST'])]
    public function merge(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] MergeInput $input): void
    {
        $this->doubles->merge($who, strtolower($input->id), strtolower($id), strtolower($input->into));
    }

    #[Route('/merges/{id}', methods: ['DELETE'])]
    public function part(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->doubles->part($who, strtolower($id));
    }
}
