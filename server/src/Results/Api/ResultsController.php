<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Results\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Results\Api\View\ChangeView;
use ChalkLadder\Server\Results\Api\View\ComparisonsView;
use ChalkLadder\Server\Results\Api\View\ModelView;
use ChalkLadder\Server\Results\Api\View\ModerationView;
use ChalkLadder\Server\Results\Api\View\RecordByUseView;
use ChalkLadder\Server\Results\Api\View\ResultsView;
use ChalkLadder\Server\Results\Api\View\SkillsView;
use ChalkLadder\Server\Results\Api\View\TermRecordsView;
use ChalkLadder\Server\Results\Api\View\WatchedAllView;
use ChalkLadder\Server\Results\Changes;
use ChalkLadder\Server\Results\Comparisons;
use ChalkLadder\Server\Results\Models;
use ChalkLadder\Server\Results\Moderation;
use ChalkLadder\Server\Results\RecordByUse;
use ChalkLadder\Server\Results\Results;
use ChalkLadder\Server\Results\SkillTable;
use ChalkLadder\Server\Results\TermRecords;
use ChalkLadder\Server\Results\Watched;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class ResultsController
{
    public function __construct(
        private Results $results,
        private Models $models,
        private SkillTable $skills,
        private Comparisons $comparisons,
        private Changes $changes,
        private Moderation $moderation,
        private RecordByUse $records,
        private TermRecords $terms,
        private Watched $watched,
    ) {
    }

    #[Route('/handouts/{id}/results', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id, #[MapQueryParameter] string $class = ''): ResultsView
    {
        return $this->results->show($who->teamId, $id, $class);
    }

    #[Route('/items/{id}/uses', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function uses(#[CurrentUser] StaffUser $who, string $id): RecordByUseView
    {
        return $this->records->show($who->teamId, $id);
    }

    #[Route('/bank/terms/records', methods: ['GET'])]
    public function terms(#[CurrentUser] StaffUser $who): TermRecordsView
    {
        return $this->terms->show($who->teamId);
    }

    #[Dear]
    #[Route('/handouts/{id}/results/model', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function model(#[CurrentUser] StaffUser $who, string $id): ModelView
    {
        return $this->models->show($who->teamId, $id);
    }

    #[Route('/handouts/{id}/results/skills', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function skills(#[CurrentUser] StaffUser $who, string $id, #[MapQueryParameter] string $class = ''): SkillsView
    {
        return $this->skills->show($who->teamId, $id, $class);
    }

    #[Route('/handouts/{id}/results/watched', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function watched(#[CurrentUser] StaffUser $who, string $id, #[MapQueryParameter] string $class = ''): WatchedAllView
    {
        return $this->watched->show($who->teamId, $id, $class);
    }

    #[Route('/handouts/{id}/results/classes', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function classes(#[CurrentUser] StaffUser $who, string $id): ComparisonsView
    {
        return $this->comparisons->show($who->teamId, $id);
    }

    #[Route('/handouts/{id}/results/markers', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function markers(#[CurrentUser] StaffUser $who, string $id): ModerationView
    {
        return $this->moderation->show($who->teamId, $id);
    }

    #[Route('/handouts/{id}/results/change', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function change(#[CurrentUser] StaffUser $who, string $id, #[MapQueryParameter] ?string $since = null): ChangeView
    {
        return $this->changes->show($who->teamId, $id, $since);
    }
}
