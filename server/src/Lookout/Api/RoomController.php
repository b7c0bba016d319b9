<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\HandsInput;
use ChalkLadder\Server\Lookout\Api\Input\RoomQuestionInput;
use ChalkLadder\Server\Lookout\Api\View\RoomQuestionView;
use ChalkLadder\Server\Lookout\Api\View\WallView;
use ChalkLadder\Server\Lookout\RoomQuestions;
use ChalkLadder\Server\Lookout\Walls;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A question to the room, also where hands are raised instead of devices. */
#[IsGranted('ROLE_TEACHER')]
final readonly class RoomController
{
    private const PLACE = ['id' => Requirement::UUID, 'entry' => '[a-z0-9][a-z0-9-]{0,35}'];

    public function __construct(private RoomQuestions $questions, private Walls $walls)
    {
    }

    #[Route('/room-questions', methods: ['POST'])]
    public function ask(#[CurrentUser] StaffUser $who, #[MapRequestPayload] RoomQuestionInput $input): RoomQuestionView
    {
        return $this->questions->ask($who, $input);
    }

    #[Route('/handouts/{id}/hands/{entry}', requirements: self::PLACE, methods: ['PUT'])]
    public function raise(#[CurrentUser] StaffUser $who, string $id, string $entry, #[MapRequestPayload] HandsInput $input): WallView
    {
        return $this->walls->raise($who, $id, $entry, $input->first, $input->now);
    }

    #[Route('/handouts/{id}/hands/{entry}', requirements: self::PLACE, methods: ['DELETE'])]
    public function lower(#[CurrentUser] StaffUser $who, string $id, string $entry): WallView
    {
        return $this->walls->lower($who, $id, $entry);
    }
}
