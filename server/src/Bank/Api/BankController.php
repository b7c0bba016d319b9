<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\DrawsInput;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\TermInput;
use ChalkLadder\Server\Bank\Api\Input\TryInput;
use ChalkLadder\Server\Bank\Api\View\DrawsView;
use ChalkLadder\Server\Bank\Api\View\ItemListView;
use ChalkLadder\Server\Bank\Api\View\ItemSavedView;
use ChalkLadder\Server\Bank\Api\View\ItemView;
use ChalkLadder\Server\Bank\Api\View\TermsView;
use ChalkLadder\Server\Bank\Api\View\TermView;
use ChalkLadder\Server\Bank\Api\View\TryView;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\QuestionDraws;
use ChalkLadder\Server\Bank\ReadModel\Order;
use ChalkLadder\Server\Bank\ReadModel\Search;
use ChalkLadder\Server\Bank\Terms;
use ChalkLadder\Server\Bank\TryOut;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class BankController
{
    public function __construct(private Bank $bank, private Terms $terms, private TryOut $tryOut, private QuestionDraws $draws)
    {
    }

    #[Route('/bank/terms', methods: ['GET'])]
    public function terms(#[CurrentUser] StaffUser $who): TermsView
    {
        return $this->terms->all($who->teamId);
    }

    #[Route('/bank/skills', methods: ['POST'])]
    public function addSkill(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->addSkill($who, $input);
    }

    #[Route('/bank/misconceptions', methods: ['POST'])]
    public function addMisconception(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->addMisconception($who, $input);
    }

    #[Route('/bank/skills/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function renameSkill(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->renameSkill($who, $id, $input);
    }

    #[Route('/bank/misconceptions/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function changeMisconception(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] TermInput $input): TermView
    {
        return $this->terms->changeMisconception($who, $id, $input);
    }

    #[Route('/items', methods: ['GET'])]
    public function list(
        #[CurrentUser] StaffUser $who,
        #[MapQueryParameter] string $q = '',
        #[MapQueryParameter(
            filter: FILTER_VALIDATE_REGEXP,
            options: ['regexp' => '/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di'],
        )] ?string $skill = null,
        #[MapQueryParameter(
            filter: FILTER_VALIDATE_REGEXP,
            options: ['regexp' => '/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di'],
        )] ?string $misconception = null,
        #[MapQueryParameter] ?string $type = null,
        #[MapQueryParameter] Order $sort = Order::Latest,
        #[MapQueryParameter(filter: FILTER_VALIDATE_INT, options: ['min_range' => 0, 'max_range' => 1_000_000])] int $from = 0,
    ): ItemListView {
        return $this->bank->search($who->teamId, new Search($q, $skill, $misconception, $type, $sort, $from));
    }

    #[Route('/items', methods: ['POST'])]
    public function create(#[CurrentUser] StaffUser $who, #[MapRequestPayload] ItemInput $input): ItemSavedView
    {
        return $this->bank->create($who, $input);
    }

    #[Route('/items/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, string $id): ItemView
    {
        return $this->bank->show($who->teamId, $id);
    }

    #[Route('/items/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function save(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ItemInput $input): ItemSavedView
    {
        return $this->bank->save($who, $id, $input);
    }

    #[Route('/items/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function archive(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->bank->archive($who, $id);
    }

    #[Route('/items/{id}/restore', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    public function restore(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->bank->restore($who, $id);
    }

    /** Bounded in effort, and asked for while one types. */
    #[Route('/items/draws', methods: ['POST'])]
    public function draws(#[MapRequestPayload] DrawsInput $input): DrawsView
    {
        return $this->draws->show($input->item);
    }

    #[Dear]
    #[Route('/items/try', methods: ['POST'])]
    public function try(#[MapRequestPayload] TryInput $input): TryView
    {
        return $this->tryOut->check($input);
    }
}
