<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\CallInput;
use ChalkLadder\Server\Sitting\Api\Input\HelpLineInput;
use ChalkLadder\Server\Sitting\Api\View\SittingView;
use ChalkLadder\Server\Sitting\Helping;
use ChalkLadder\Server\Sitting\Sittings;
use ChalkLadder\Server\Sitting\Talking;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A student at work and others: their teacher, and whom they help or who helps them. */
#[IsGranted('ROLE_STUDENT')]
#[Route('/me/sittings/{id}', requirements: ['id' => Requirement::UUID])]
final readonly class TalkController
{
    public function __construct(private Talking $talking, private Helping $helping, private Sittings $sittings)
    {
    }

    #[Route('/call', methods: ['PUT'])]
    public function call(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] CallInput $input): SittingView
    {
        $this->talking->call($who, $id, $input);

        return $this->sittings->show($who, $id);
    }

    /** Never mind. */
    #[Route('/call', methods: ['DELETE'])]
    public function neverMind(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        $this->talking->neverMind($who, $id);

        return $this->sittings->show($who, $id);
    }

    /** Yes, I will help. */
    #[Route('/help', methods: ['PUT'])]
    public function help(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        $this->helping->take($who, $id);

        return $this->sittings->show($who, $id);
    }

    /** No, or no more: whoever helps, or is helped, leaves. */
    #[Route('/help', methods: ['DELETE'])]
    public function leave(#[CurrentUser] StudentUser $who, string $id): SittingView
    {
        $this->helping->leave($who, $id);

        return $this->sittings->show($who, $id);
    }

    #[Route('/help', methods: ['POST'])]
    public function say(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] HelpLineInput $input): SittingView
    {
        $this->helping->say($who, $id, strtolower($input->id), trim($input->words));

        return $this->sittings->show($who, $id);
    }
}
