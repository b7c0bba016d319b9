<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Roster\Api\Input\GroupInput;
use ChalkLadder\Server\Roster\Api\Input\MoveInput;
use ChalkLadder\Server\Roster\Api\Input\RosterInput;
use ChalkLadder\Server\Roster\Api\View\RosterPreviewView;
use ChalkLadder\Server\Roster\Api\View\RosterView;
use ChalkLadder\Server\Roster\Groups;
use ChalkLadder\Server\Roster\Places;
use ChalkLadder\Server\Roster\Rosters;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who is in a class, and in which of its groups. */
#[IsGranted('ROLE_TEACHER')]
#[Route('/classes/{id}', requirements: ['id' => Requirement::UUID, 'student' => Requirement::UUID, 'group' => Requirement::UUID])]
final readonly class PlacesController
{
    public function __construct(private Places $places, private Groups $groups, private Rosters $rosters)
    {
    }

    #[Route('/roster/preview', methods: ['POST'])]
    public function preview(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RosterInput $input): RosterPreviewView
    {
        return $this->places->preview($who->teamId, $id, $input);
    }

    #[Route('/roster', methods: ['POST'])]
    public function add(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RosterInput $input): RosterView
    {
        $this->places->add($who, $id, $input);

        return $this->rosters->show($who->teamId, $id);
    }

    #[Route('/students/{student}', methods: ['DELETE'])]
    public function leave(#[CurrentUser] StaffUser $who, string $id, string $student): void
    {
        $this->places->leave($who, $id, $student);
    }

    #[Route('/students/{student}/return', methods: ['POST'])]
    public function rejoin(#[CurrentUser] StaffUser $who, string $id, string $student): void
    {
        $this->places->comeBack($who, $id, $student);
    }

    #[Route('/students/{student}/move', methods: ['POST'])]
    public function move(#[CurrentUser] StaffUser $who, string $id, string $student, #[MapRequestPayload] MoveInput $input): void
    {
        $this->places->move($who, $id, $student, strtolower($input->to));
    }

    #[Route('/groups', methods: ['POST'])]
    public function group(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] GroupInput $input): RosterView
    {
        $this->groups->make($who, $id, $input);

        return $this->rosters->show($who->teamId, $id);
    }

    #[Route('/groups/{group}', methods: ['PUT'])]
    public function regroup(
        #[CurrentUser] StaffUser $who,
        string $id,
        string $group,
        #[MapRequestPayload] GroupInput $input,
    ): RosterView {
        $this->groups->change($who, $id, $group, $input);

        return $this->rosters->show($who->teamId, $id);
    }

    #[Route('/groups/{group}', methods: ['DELETE'])]
    public function ungroup(#[CurrentUser] StaffUser $who, string $id, string $group): RosterView
    {
        $this->groups->drop($who, $id, $group);

        return $this->rosters->show($who->teamId, $id);
    }
}
