<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Roster\Api\Input\ClassInput;
use ChalkLadder\Server\Roster\Api\Input\PicturesInput;
use ChalkLadder\Server\Roster\Api\Input\StudentInput;
use ChalkLadder\Server\Roster\Api\Input\SupportInput;
use ChalkLadder\Server\Roster\Api\Input\TeachersInput;
use ChalkLadder\Server\Roster\Api\View\ClassListView;
use ChalkLadder\Server\Roster\Api\View\PinView;
use ChalkLadder\Server\Roster\Api\View\RosterView;
use ChalkLadder\Server\Roster\Api\View\SlipsView;
use ChalkLadder\Server\Roster\Api\View\SupportedView;
use ChalkLadder\Server\Roster\Rosters;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route('/classes', requirements: ['id' => Requirement::UUID, 'student' => Requirement::UUID])]
final readonly class RosterController
{
    public function __construct(private Rosters $rosters)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): ClassListView
    {
        return $this->rosters->list($who);
    }

    #[Route('', methods: ['POST'])]
    public function create(#[CurrentUser] StaffUser $who, #[MapRequestPayload] ClassInput $input): RosterView
    {
        return $this->rosters->create($who, $input);
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): RosterView
    {
        return $this->rosters->show($who->teamId, $id);
    }

    #[Route('/{id}', methods: ['PUT'])]
    public function rename(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ClassInput $input): RosterView
    {
        return $this->rosters->rename($who, $id, $input);
    }

    #[Route('/{id}/students/{student}', methods: ['PUT'])]
    public function renameStudent(
        #[CurrentUser] StaffUser $who,
        string $id,
        string $student,
        #[MapRequestPayload] StudentInput $input,
    ): RosterView {
        return $this->rosters->renameStudent($who, $id, $student, $input);
    }

    #[Route('/{id}/students/{student}/support', methods: ['PUT'])]
    public function support(
        #[CurrentUser] StaffUser $who,
        string $id,
        string $student,
        #[MapRequestPayload] SupportInput $input,
    ): RosterView {
        return $this->rosters->support($who, $id, $student, $input);
    }

    #[Route('/supported', methods: ['GET'], priority: 1)]
    public function supported(#[CurrentUser] StaffUser $who): SupportedView
    {
        return $this->rosters->supported($who->teamId);
    }

    #[Route('/{id}/teachers', methods: ['PUT'])]
    public function taughtBy(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] TeachersInput $input): RosterView
    {
        return $this->rosters->taughtBy($who, $id, $input);
    }

    #[Route('/{id}/pictures', methods: ['PUT'])]
    public function pictures(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] PicturesInput $input): RosterView
    {
        return $this->rosters->turnPictures($who, $id, $input->on);
    }

    #[Route('/{id}/slips', methods: ['POST'])]
    public function slips(#[CurrentUser] StaffUser $who, string $id): SlipsView
    {
        return $this->rosters->slips($who, $id);
    }

    #[Route('/{id}/students/{student}/pin', methods: ['POST'])]
    public function resetPin(#[CurrentUser] StaffUser $who, string $id, string $student): PinView
    {
        return $this->rosters->resetPin($who, $id, $student);
    }
}
