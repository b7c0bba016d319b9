<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Media\Api\Input\UploadInput;
use ChalkLadder\Server\Media\Api\View\FilesView;
use ChalkLadder\Server\Media\Api\View\UploadView;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\SittingFiles;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Files for students: of papers that were handed to them, and what they send in their own sittings. */
#[IsGranted('ROLE_STUDENT')]
#[Route('/me', requirements: ['id' => Requirement::UUID, 'upload' => Requirement::UUID, 'page' => '[1-9]\d{0,2}'])]
final readonly class StudentFileController
{
    private const MOST = 100;

    public function __construct(private SittingFiles $files)
    {
    }

    #[Route('/sittings/{id}/uploads', methods: ['POST'])]
    #[Dear]
    public function begin(#[CurrentUser] StudentUser $who, string $id, #[MapRequestPayload] UploadInput $input): UploadView
    {
        return $this->files->begin($who, $id, $input);
    }

    #[Route('/sittings/{id}/uploads/{upload}', methods: ['GET'])]
    public function state(#[CurrentUser] StudentUser $who, string $id, string $upload): UploadView
    {
        return $this->files->state($who, $id, $upload);
    }

    /** Its body is the piece. */
    #[Route('/sittings/{id}/uploads/{upload}', methods: ['PUT'])]
    public function take(
        #[CurrentUser] StudentUser $who,
        string $id,
        string $upload,
        Request $request,
        #[MapQueryParameter] int $at = 0,
    ): UploadView {
        return $this->files->take($who, $id, $upload, $at, $request->getContent());
    }

    #[Route('/sittings/{id}/uploads/{upload}', methods: ['DELETE'])]
    public function cancel(#[CurrentUser] StudentUser $who, string $id, string $upload): void
    {
        $this->files->cancel($who, $id, $upload);
    }

    #[Route('/files', methods: ['GET'])]
    public function about(#[CurrentUser] StudentUser $who, #[MapQueryParameter] string $ids = ''): FilesView
    {
        return new FilesView($this->files->about($who, array_slice(explode(',', $ids), 0, self::MOST)));
    }

    #[Route('/files/{id}', methods: ['GET'])]
    #[Returns('file')]
    public function show(#[CurrentUser] StudentUser $who, string $id): Response
    {
        return $this->files->send($who, $id);
    }

    #[Route('/files/{id}/pages/{page}', methods: ['GET'])]
    #[Returns('file')]
    public function page(#[CurrentUser] StudentUser $who, string $id, int $page): Response
    {
        return $this->files->page($who, $id, $page);
    }
}
