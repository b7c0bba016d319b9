<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api;

use ChalkLadder\Server\Identity\Api\View\TrailView;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Identity\TrailReader;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final readonly class TrailController
{
    public function __construct(private TrailReader $trails)
    {
    }

    #[Route('/trail', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function list(#[CurrentUser] StaffUser $who,
        #[MapQueryParameter] string $by = '', #[MapQueryParameter] string $kind = '', #[MapQueryParameter] string $before = ''): TrailView
    {
        return $this->trails->list($who->teamId, $by, $kind, $before);
    }
}
