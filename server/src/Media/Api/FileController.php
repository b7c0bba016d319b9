<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Api\View\FileView;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

final readonly class FileController
{
    public function __construct(private Files $files)
    {
    }

    #[Route('/files', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function add(#[CurrentUser] StaffUser $who, Request $request): FileView
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            throw Problem::invalid(['file' => 'Choose a picture of at most 2 MB.']);
        }

        return $this->files->add($who, $file->getClientOriginalName(), $file->getContent());
    }

    #[Route('/files/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    #[Returns('file')]
    public function show(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return $this->files->send($who->teamId, $id);
    }
}
