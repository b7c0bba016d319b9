<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Paper\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Paper\Api\Input\HereInput;
use ChalkLadder\Server\Paper\Api\Input\OnPaperInput;
use ChalkLadder\Server\Paper\Api\Input\PaperInput;
use ChalkLadder\Server\Paper\Api\Input\PublishInput;
use ChalkLadder\Server\Paper\Api\Input\RehearsalInput;
use ChalkLadder\Server\Paper\Api\View\BlueprintView;
use ChalkLadder\Server\Paper\Api\View\EditionsView;
use ChalkLadder\Server\Paper\Api\View\HereView;
use ChalkLadder\Server\Paper\Api\View\PaperListView;
use ChalkLadder\Server\Paper\Api\View\PaperView;
use ChalkLadder\Server\Paper\Api\View\RehearsalView;
use ChalkLadder\Server\Paper\Api\View\SourceListView;
use ChalkLadder\Server\Paper\Blueprints;
use ChalkLadder\Server\Paper\Company;
use ChalkLadder\Server\Paper\EditionHistory;
use ChalkLadder\Server\Paper\OnPaper;
use ChalkLadder\Server\Paper\Papers;
use ChalkLadder\Server\Paper\Rehearsals;
use ChalkLadder\Server\Platform\Http\Dear;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class PaperController
{
    public function __construct(
        private Papers $papers,
        private Rehearsals $rehearsals,
        private Blueprints $blueprints,
        private EditionHistory $history,
        private Company $company,
        private OnPaper $onPaper,
    ) {
    }

    #[Route('/papers', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): PaperListView
    {
        return $this->papers->list($who->teamId);
    }

    #[Route('/sources', methods: ['GET'])]
    public function sources(#[CurrentUser] StaffUser $who): SourceListView
    {
        return $this->papers->sources($who->teamId);
    }

    #[Route('/papers', methods: ['POST'])]
    public function create(#[CurrentUser] StaffUser $who, #[MapRequestPayload] PaperInput $input): PaperView
    {
        return $this->papers->create($who, $input);
    }

    #[Route('/papers/on-paper', methods: ['POST'])]
    public function onPaper(#[CurrentUser] StaffUser $who, #[MapRequestPayload] OnPaperInput $input): PaperView
    {
        return $this->onPaper->make($who, $input);
    }

    #[Route('/papers/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): PaperView
    {
        return $this->papers->show($who->teamId, $id);
    }

    #[Route('/papers/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function save(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] PaperInput $input): PaperView
    {
        return $this->papers->save($who, $id, $input);
    }

    #[Route('/papers/{id}/here', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function here(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] HereInput $input): HereView
    {
        return $this->company->here($who, $id, $input->part);
    }

    #[Route('/papers/{id}/publish', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function publish(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] PublishInput $input): PaperView
    {
        return $this->papers->publish($who, $id, $input);
    }

    #[Dear]
    #[Route('/papers/{id}/rehearsal', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function rehearse(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] RehearsalInput $input): RehearsalView
    {
        return $this->rehearsals->of($who->teamId, $id, $input);
    }

    #[Route('/papers/{id}/editions', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function editions(#[CurrentUser] StaffUser $who, string $id): EditionsView
    {
        return $this->history->of($who->teamId, $id);
    }

    #[Route('/papers/{id}/blueprint', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function blueprint(#[CurrentUser] StaffUser $who, string $id): BlueprintView
    {
        return $this->blueprints->of($who->teamId, $id);
    }

    #[Route('/papers/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function archive(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->papers->archive($who, $id);
    }

    #[Route('/papers/{id}/restore', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function restore(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->papers->restore($who, $id);
    }
}
