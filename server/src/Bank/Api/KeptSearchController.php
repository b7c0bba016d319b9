<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\KeptSearchInput;
use ChalkLadder\Server\Bank\Api\View\KeptSearchesView;
use ChalkLadder\Server\Bank\KeptSearches;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class KeptSearchController
{
    public function __construct(private KeptSearches $searches)
    {
    }

    #[Route('/bank/searches', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): KeptSearchesView
    {
        return $this->searches->of($who);
    }

    #[Route('/bank/searches', methods: ['POST'])]
    public function keep(#[CurrentUser] StaffUser $who, #[MapRequestPayload] KeptSearchInput $input): KeptSearchesView
    {
        return $this->searches->keep($who, $input);
    }

    #[Route('/bank/searches/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function drop(#[CurrentUser] StaffUser $who, string $id): KeptSearchesView
    {
        return $this->searches->drop($who, $id);
    }
}
