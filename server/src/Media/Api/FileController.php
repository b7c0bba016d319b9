<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Media\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Media\Api\Input\UploadInput;
use ChalkLadder\Server\Media\Api\View\FilesView;
use ChalkLadder\Server\Media\Api\View\UploadView;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Media\Owner;
use ChalkLadder\Server\Media\Uploads;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID, 'page' => '[1-9]\d{0,2}'])]
final readonly class FileController
{
    private const MOST = 100;

    public function __construct(private Files $files, private Uploads $uploads)
    {
    }

    #[Route('/uploads', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Dear]
    public function begin(#[CurrentUser] StaffUser $who, #[MapRequestPayload] UploadInput $input): UploadView
    {
        return $this->uploads->begin(self::owner($who), $input);
    }

    #[Route('/uploads/{id}', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function state(#[CurrentUser] StaffUser $who, string $id): UploadView
    {
        return $this->uploads->state(self::owner($who), $id);
    }

    /** Its body is the piece. */
    #[Route('/uploads/{id}', methods: ['PUT'])]
    #[IsGranted('ROLE_TEACHER')]
    public function take(#[CurrentUser] StaffUser $who, string $id, Request $request, #[MapQueryParameter] int $at = 0): UploadView
    {
        return $this->uploads->take(self::owner($who), $id, $at, $request->getContent());
    }

    #[Route('/uploads/{id}', methods: ['DELETE'])]
    #[IsGranted('ROLE_TEACHER')]
    public function cancel(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->uploads->cancel(self::owner($who), $id);
    }

    #[Route('/files', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function about(#[CurrentUser] StaffUser $who, #[MapQueryParameter] string $ids = ''): FilesView
    {
        return new FilesView($this->files->about($who->teamId, array_slice(explode(',', $ids), 0, self::MOST)));
    }

    #[Route('/files/{id}', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    #[Returns('file')]
    public function show(#[CurrentUser] StaffUser $who, string $id): Response
    {
        return $this->files->send($who->teamId, $id);
    }

    #[Route('/files/{id}/pages/{page}', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    #[Returns('file')]
    public function page(#[CurrentUser] StaffUser $who, string $id, int $page): Response
    {
        return $this->files->page($who->teamId, $id, $page);
    }

    private static function owner(StaffUser $who): Owner
    {
        return Owner::staff($who->teamId, $who->id);
    }
}
