<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Handout\Api;

use ChalkLadder\Server\Handout\Api\Input\ExtraTimeInput;
use ChalkLadder\Server\Handout\Api\Input\HandoutChangeInput;
use ChalkLadder\Server\Handout\Api\Input\HandoutInput;
use ChalkLadder\Server\Handout\Api\Input\HoldInput;
use ChalkLadder\Server\Handout\Api\Input\ReleaseInput;
use ChalkLadder\Server\Handout\Api\View\HandoutListView;
use ChalkLadder\Server\Handout\Api\View\HandoutView;
use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
#[Route('/handouts', requirements: ['id' => Requirement::UUID])]
final readonly class HandoutController
{
    public function __construct(private Handouts $handouts)
    {
    }

    #[Route('', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): HandoutListView
    {
        return $this->handouts->list($who->teamId);
    }

    #[Route('', methods: ['POST'])]
    public function create(#[CurrentUser] StaffUser $who, #[MapRequestPayload] HandoutInput $input): HandoutView
    {
        return $this->handouts->create($who, $input);
    }

    #[Route('/{id}', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): HandoutView
    {
        return $this->handouts->show($who->teamId, $id);
    }

    #[Route('/{id}', methods: ['PUT'])]
    public function change(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] HandoutChangeInput $input): HandoutView
    {
        return $this->handouts->change($who, $id, $input);
    }

    #[Route('/{id}', methods: ['DELETE'])]
    public function withdraw(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->handouts->withdraw($who, $id);
    }

    #[Route('/{id}/students/{student}/extra-time', methods: ['PUT'], requirements: ['student' => Requirement::UUID])]
    public function giveExtra(
        #[CurrentUser] StaffUser $who,
        string $id,
        string $student,
        #[MapRequestPayload] ExtraTimeInput $input,
    ): void {
        $this->handouts->giveExtra($who, $id, $student, $input->minutes);
    }

    #[Route('/{id}/hold', methods: ['POST'])]
    public function hold(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] HoldInput $input = new HoldInput()): void
    {
        $this->handouts->hold($who, $id, $input->students(), $input->words);
    }

    #[Route('/{id}/release', methods: ['POST'])]
    public function release(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ReleaseInput $input = new ReleaseInput()): void
    {
        $this->handouts->release($who, $id, $input->students());
    }

    #[Route('/{id}/close', methods: ['POST'])]
    public function close(#[CurrentUser] StaffUser $who, string $id): HandoutView
    {
        return $this->handouts->close($who, $id);
    }

    #[Route('/{id}/reopen', methods: ['POST'])]
    public function reopen(#[CurrentUser] StaffUser $who, string $id): HandoutView
    {
        return $this->handouts->reopen($who, $id);
    }
}
