<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\NoteInput;
use ChalkLadder\Server\Sitting\Talking;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Between the teacher in the Lookout and the students at work. */
#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID, 'call' => Requirement::UUID])]
final readonly class TalkController
{
    public function __construct(private Talking $talking)
    {
    }

    #[Route('/handouts/{id}/notes', methods: ['POST'])]
    public function write(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] NoteInput $input): void
    {
        $this->talking->write($who, $id, strtolower($input->id), $input->student(), $input->entry, trim($input->words), $input->file);
    }

    #[Route('/notes/{id}', methods: ['DELETE'])]
    public function takeBack(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->talking->takeBack($who, $id);
    }

    #[Route('/sittings/{id}/calls/{call}/settle', methods: ['POST'])]
    public function settle(#[CurrentUser] StaffUser $who, string $id, string $call): void
    {
        $this->talking->settle($who, $id, $call);
    }

    #[Route('/sittings/{id}/calls/{call}/unsettle', methods: ['POST'])]
    public function unsettle(#[CurrentUser] StaffUser $who, string $id, string $call): void
    {
        $this->talking->unsettle($who, $id, $call);
    }
}
