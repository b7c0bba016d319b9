<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api;

use ChalkLadder\Server\Identity\Accounts;
use ChalkLadder\Server\Identity\Api\Input\ColleagueInput;
use ChalkLadder\Server\Identity\Api\Input\PasswordInput;
use ChalkLadder\Server\Identity\Api\Input\RoleInput;
use ChalkLadder\Server\Identity\Colleagues;
use ChalkLadder\Server\Identity\Role;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who belongs to the team: a lead's to keep. */
#[IsGranted('ROLE_LEAD')]
#[Route('/account/colleagues', requirements: ['id' => Requirement::UUID])]
final readonly class ColleagueController
{
    public function __construct(private Colleagues $colleagues, private Accounts $accounts)
    {
    }

    #[Route('', methods: ['POST'])]
    public function add(#[CurrentUser] StaffUser $who, Request $request, #[MapRequestPayload] ColleagueInput $input): void
    {
        $this->colleagues->add($who, $request, $input);
    }

    #[Route('/{id}/password', methods: ['PUT'])]
    public function resetPassword(
        #[CurrentUser] StaffUser $who,
        string $id,
        Request $request,
        #[MapRequestPayload] PasswordInput $input,
    ): void {
        $this->accounts->resetPassword($who, $id, $request, $input);
    }

    #[Route('/{id}/role', methods: ['PUT'])]
    public function setRole(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RoleInput $input): void
    {
        $this->colleagues->setRole($who, $id, Role::from($input->role));
    }

    #[Route('/{id}', methods: ['DELETE'])]
    public function leave(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->colleagues->leave($who, $id);
    }

    #[Route('/{id}/return', methods: ['POST'])]
    public function comeBack(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->colleagues->comeBack($who, $id);
    }
}
