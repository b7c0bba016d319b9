<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api;

use ChalkLadder\Server\Results\Api\View\OwnSkillsView;
use ChalkLadder\Server\Results\OwnSkills;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What a student is told of their own skills. */
#[IsGranted('ROLE_STUDENT')]
final readonly class OwnSkillsController
{
    public function __construct(private OwnSkills $skills)
    {
    }

    #[Route('/me/skills', methods: ['GET'])]
    public function show(#[CurrentUser] StudentUser $who): OwnSkillsView
    {
        return $this->skills->show($who);
    }
}
