<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\AnswerPads;
use ChalkLadder\Server\Lookout\Api\Input\PadInput;
use ChalkLadder\Server\Lookout\Api\Input\PressesInput;
use ChalkLadder\Server\Lookout\Api\View\PadsView;
use ChalkLadder\Server\Lookout\Api\View\PressesView;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID, 'pad' => '[A-Za-z0-9]{1,8}'])]
final readonly class PadsController
{
    public function __construct(private AnswerPads $pads)
    {
    }

    #[Route('/handouts/{id}/pads', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function show(#[CurrentUser] StaffUser $who, string $id): PadsView
    {
        return $this->pads->show($who->teamId, $id);
    }

    #[Route('/handouts/{id}/pads', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function open(#[CurrentUser] StaffUser $who, string $id): PadsView
    {
        return $this->pads->open($who, $id);
    }

    #[Route('/handouts/{id}/pads', methods: ['DELETE'])]
    #[IsGranted('ROLE_TEACHER')]
    public function close(#[CurrentUser] StaffUser $who, string $id): PadsView
    {
        return $this->pads->close($who, $id);
    }

    #[Route('/handouts/{id}/pads/{pad}', methods: ['PUT'])]
    #[IsGranted('ROLE_TEACHER')]
    public function give(#[CurrentUser] StaffUser $who, string $id, string $pad, #[MapRequestPayload] PadInput $input): PadsView
    {
        return $this->pads->give($who, $id, $pad, $input->student === null ? null : strtolower($input->student));
    }

    /** From a receiver, which is nobody but has a key. */
    #[Route('/presses/{id}', methods: ['POST'])]
    public function press(string $id, #[MapRequestPayload] PressesInput $input): PressesView
    {
        return $this->pads->press(strtolower($id), $input);
    }
}
