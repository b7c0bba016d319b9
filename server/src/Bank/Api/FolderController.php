<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Bank\Api;

use ChalkLadder\Server\Bank\Api\Input\FolderInput;
use ChalkLadder\Server\Bank\Api\Input\FolderItemsInput;
use ChalkLadder\Server\Bank\Api\View\FoldersView;
use ChalkLadder\Server\Bank\Folders;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[IsGranted('ROLE_TEACHER')]
final readonly class FolderController
{
    public function __construct(private Folders $folders)
    {
    }

    #[Route('/bank/folders', methods: ['GET'])]
    public function list(#[CurrentUser] StaffUser $who): FoldersView
    {
        return $this->folders->of($who);
    }

    #[Route('/bank/folders', methods: ['POST'])]
    public function make(#[CurrentUser] StaffUser $who, #[MapRequestPayload] FolderInput $input): FoldersView
    {
        return $this->folders->make($who, $input);
    }

    #[Route('/bank/folders/{id}', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function rename(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] FolderInput $input): FoldersView
    {
        return $this->folders->rename($who, $id, $input);
    }

    #[Route('/bank/folders/{id}', requirements: ['id' => Requirement::UUID], methods: ['DELETE'])]
    public function drop(#[CurrentUser] StaffUser $who, string $id): FoldersView
    {
        return $this->folders->drop($who, $id);
    }

    #[Route('/bank/folders/{id}/items', requirements: ['id' => Requirement::UUID], methods: ['PUT'])]
    public function change(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] FolderItemsInput $input): FoldersView
    {
        return $this->folders->change($who, $id, $input);
    }
}
