<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\CallInput;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\Talking;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_STUDENT')]
#[Route('/me/sittings/{id}/call', requirements: ['id' => Requirement::UUID])]
final readonly class TalkController
{
    public function __construct(private Talking $talking, private Sittings $sittings)
    {
    }

    #[Route('', methods: ['PUT'])]
    public function call(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] CallInput $input): SittingView
    {
        $this->talking->call($who, $id, $input);

        return $this->sittings->show($who, $id);
    }

    /** Never mind. */
    #[Route('', methods: ['DELETE'])]
    public function neverMind(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        $this->talking->neverMind($who, $id);

        return $this->sittings->show($who, $id);
    }
}
