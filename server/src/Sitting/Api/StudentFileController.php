<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Media\Files;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Pictures for students: only those of papers that were handed to them. */
#[IsGranted('ROLE_STUDENT')]
final readonly class StudentFileController
{
    public function __construct(private Handouts $handouts, private Files $files)
    {
    }

    #[Route('/me/files/{id}', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[Returns('file')]
    public function show(#[CurrentUser] StudentUser $who, string $id): Response
    {
        if (!$this->handouts->shows($who->id, $id)) {
            throw Problem::notFound('The file');
        }

        return $this->files->send($who->teamId, $id);
    }
}
