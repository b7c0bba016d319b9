<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\WallInput;
use ChalkLadder\Server\Lookout\Api\View\WallView;
use ChalkLadder\Server\Lookout\Walls;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route('/handouts/{id}', requirements: ['id' => Requirement::UUID, 'entry' => '[a-z0-9][a-z0-9-]{0,35}'])]
final readonly class WallController
{
    public function __construct(private Walls $walls)
    {
    }

    #[Route('/wall', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): WallView
    {
        return $this->walls->show($who->teamId, $id);
    }

    #[Route('/wall', methods: ['PUT'])]
    public function put(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] WallInput $input): WallView
    {
        return $this->walls->put($who, $id, $input->entry, $input->key);
    }

    #[Route('/counts/{entry}', methods: ['POST'])]
    public function count(#[CurrentUser] StaffUser $who, string $id, string $entry): WallView
    {
        return $this->walls->count($who, $id, $entry);
    }

    #[Route('/counts/{entry}', methods: ['DELETE'])]
    public function forget(#[CurrentUser] StaffUser $who, string $id, string $entry): WallView
    {
        return $this->walls->forget($who, $id, $entry);
    }
}
