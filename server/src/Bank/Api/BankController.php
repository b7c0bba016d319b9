<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\DrawsInput;
use ChalkLadder\Server\Bank\Api\Input\ItemInput;
use ChalkLadder\Server\Bank\Api\Input\KeepNotesInput;
use ChalkLadder\Server\Bank\Api\Input\NotesInput;
use ChalkLadder\Server\Bank\Api\Input\PassageInput;
use ChalkLadder\Server\Bank\Api\Input\TryAllInput;
use ChalkLadder\Server\Bank\Api\Input\TryInput;
use ChalkLadder\Server\Bank\Api\View\CandidatesView;
use ChalkLadder\Server\Bank\Api\View\DrawsView;
use ChalkLadder\Server\Bank\Api\View\HistoryView;
use ChalkLadder\Server\Bank\Api\View\ItemListView;
use ChalkLadder\Server\Bank\Api\View\ItemSavedView;
use ChalkLadder\Server\Bank\Api\View\ItemView;
use ChalkLadder\Server\Bank\Api\View\KeptNotesView;
use ChalkLadder\Server\Bank\Api\View\NotesTextView;
use ChalkLadder\Server\Bank\Api\View\NotesView;
use ChalkLadder\Server\Bank\Api\View\TriedView;
use ChalkLadder\Server\Bank\Api\View\TryView;
use ChalkLadder\Server\Bank\Api\View\VersionView;
use ChalkLadder\Server\Bank\Bank;
use ChalkLadder\Server\Bank\BankSearch;
use ChalkLadder\Server\Bank\DrawnQuestions;
use ChalkLadder\Server\Bank\QuestionDraws;
use ChalkLadder\Server\Bank\QuestionHistory;
use ChalkLadder\Server\Bank\RapidEntry;
use ChalkLadder\Server\Bank\ReadModel\Band;
use ChalkLadder\Server\Bank\ReadModel\Order;
use ChalkLadder\Server\Bank\ReadModel\Search;
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
    private const ID = ['regexp' => '/^[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}$/Di'];

    public function __construct(
        private Bank $bank,
        private BankSearch $search,
        private QuestionHistory $history,
        private TryOut $tryOut,
        private QuestionDraws $draws,
        private RapidEntry $entry,
        private DrawnQuestions $drawn,
    ) {
    }

    #[Route('/items', methods: ['GET'])]
    public function list(
        #[CurrentUser] StaffUser $who,
        #[MapQueryParameter] string $q = '',
        #[MapQueryParameter(filter: FILTER_VALIDATE_REGEXP, options: self::ID)] ?string $skill = null,
        #[MapQueryParameter(filter: FILTER_VALIDATE_REGEXP, options: self::ID)] ?string $misconception = null,
        #[MapQueryParameter] ?string $type = null,
        #[MapQueryParameter(filter: FILTER_VALIDATE_REGEXP, options: self::ID)] ?string $author = null,
        #[MapQueryParameter(filter: FILTER_VALIDATE_REGEXP, options: self::ID)] ?string $folder = null,
        #[MapQueryParameter] ?Band $right = null,
        #[MapQueryParameter] ?bool $used = null,
        #[MapQueryParameter] bool $archived = false,
        #[MapQueryParameter] Order $sort = Order::Latest,
        #[MapQueryParameter(filter: FILTER_VALIDATE_INT, options: ['min_range' => 0, 'max_range' => 1_000_000])] int $from = 0,
    ): ItemListView {
        return $this->search->find(
            $who->teamId,
            new Search($q, $skill, $misconception, $type, $author, $right, $used, $archived, $sort, $from, $folder, $who->id),
        );
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

    #[Route('/items/{id}/history', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function history(#[CurrentUser] StaffUser $who, string $id): HistoryView
    {
        return $this->history->of($who->teamId, $id);
    }

    #[Route('/items/{id}/history/{version}', requirements: ['id' => Requirement::UUID, 'version' => '[1-9]\d{0,6}'], methods: ['GET'])]
    public function version(#[CurrentUser] StaffUser $who, string $id, int $version): VersionView
    {
        return $this->history->version($who->teamId, $id, $version);
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

    /** What would be made of notes or of a table: bounded in effort, and asked for while one types. */
    #[Route('/items/notes', methods: ['POST'])]
    public function read(#[CurrentUser] StaffUser $who, #[MapRequestPayload] NotesInput $input): NotesView
    {
        return $this->entry->read($who->teamId, $input);
    }

    #[Dear]
    #[Route('/items/notes/keep', methods: ['POST'])]
    public function keep(#[CurrentUser] StaffUser $who, #[MapRequestPayload] KeepNotesInput $input): KeptNotesView
    {
        return $this->entry->keep($who, $input);
    }

    #[Route('/items/{id}/notes', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    public function notes(#[CurrentUser] StaffUser $who, string $id): NotesTextView
    {
        return $this->entry->write($who->teamId, $id);
    }

    #[Dear]
    #[Route('/items/drawn', methods: ['POST'])]
    public function drawn(#[CurrentUser] StaffUser $who, #[MapRequestPayload] PassageInput $input): CandidatesView
    {
        return $this->drawn->from($who->teamId, $input);
    }

    /** Bounded in effort, and asked for while one types. */
    #[Route('/items/draws', methods: ['POST'])]
    public function draws(#[MapRequestPayload] DrawsInput $input): DrawsView
    {
        return $this->draws->show($input->item);
    }

    #[Dear]
    #[Route('/items/try', methods: ['POST'])]
    public function try(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TryInput $input): TryView
    {
        return $this->tryOut->check($who->teamId, $input);
    }

    #[Dear]
    #[Route('/items/try-all', methods: ['POST'])]
    public function tryAll(#[CurrentUser] StaffUser $who, #[MapRequestPayload] TryAllInput $input): TriedView
    {
        return $this->tryOut->checkAll($who->teamId, $input);
    }
}
