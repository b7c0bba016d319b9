<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results;

use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class ResultsController
{
    public function __construct(private Results $results)
    {
    }

    #[Route('/handouts/{id}/results', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): ResultsView
    {
        return $this->results->show($who->teamId, $id);
    }
}
