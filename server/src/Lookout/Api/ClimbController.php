<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\ClimbDrawInput;
use ChalkLadder\Server\Lookout\Api\Input\ClimberInput;
use ChalkLadder\Server\Lookout\Api\Input\ClimbInput;
use ChalkLadder\Server\Sitting\Api\View\ClimbView;
use ChalkLadder\Server\Sitting\Climbs;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route('/handouts/{id}/climb', requirements: ['id' => Requirement::UUID])]
final readonly class ClimbController
{
    public function __construct(private Climbs $climbs)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): ClimbView
    {
        return $this->climbs->show($who->teamId, $id);
    }

    #[Route('/draw', methods: ['POST'])]
    public function draw(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ClimbDrawInput $input): ClimbView
    {
        return $this->climbs->draw($who->teamId, $id, $input->teams, $input->seed);
    }

    #[Route('', methods: ['PUT'])]
    public function begin(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ClimbInput $input): ClimbView
    {
        return $this->climbs->begin($who, $id, array_map(static fn (ClimberInput $team): array => $team->team(), $input->teams));
    }

    #[Route('', methods: ['DELETE'])]
    public function stop(#[CurrentUser] StaffUser $who, string $id): ClimbView
    {
        return $this->climbs->stop($who, $id);
    }
}
