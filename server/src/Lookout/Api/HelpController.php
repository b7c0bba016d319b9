<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\Input\HelpInput;
use ChalkLadder\Server\Sitting\Api\View\HelpersView;
use ChalkLadder\Server\Sitting\Api\View\HelpsView;
use ChalkLadder\Server\Sitting\Helping;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Students who help one another, as their teacher arranges and reads it. */
#[IsGranted('ROLE_TEACHER')]
#[Route(requirements: ['id' => Requirement::UUID, 'line' => Requirement::UUID])]
final readonly class HelpController
{
    public function __construct(private Helping $helping)
    {
    }

    #[Route('/handouts/{id}/helps', methods: ['GET'])]
    public function all(#[CurrentUser] StaffUser $who, string $id): HelpsView
    {
        return new HelpsView($this->helping->ofHandout($who->teamId, $id));
    }

    #[Route('/sittings/{id}/helpers/{entry}', methods: ['GET'], requirements: ['entry' => '[a-z0-9][a-z0-9-]{0,35}'])]
    public function helpers(#[CurrentUser] StaffUser $who, string $id, string $entry): HelpersView
    {
        return new HelpersView($this->helping->helpers($who->teamId, $id, $entry));
    }

    #[Route('/sittings/{id}/helps', methods: ['POST'])]
    public function ask(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] HelpInput $input): void
    {
        $this->helping->ask($who, $id, strtolower($input->id), $input->entry, strtolower($input->helper));
    }

    #[Route('/helps/{id}', methods: ['DELETE'])]
    public function stop(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->helping->stop($who, $id);
    }

    #[Route('/helps/{id}/resume', methods: ['POST'])]
    public function resume(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->helping->resume($who, $id);
    }

    #[Route('/helps/{id}/lines/{line}/let', methods: ['POST'])]
    public function letThrough(#[CurrentUser] StaffUser $who, string $id, string $line): void
    {
        $this->helping->letThrough($who, $id, $line);
    }
}
