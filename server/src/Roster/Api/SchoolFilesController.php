<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Dear;
use ChalkLadder\Server\Roster\Api\Input\SchoolFilesInput;
use ChalkLadder\Server\Roster\Api\View\SchoolFilesView;
use ChalkLadder\Server\Roster\SchoolImport;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Classes and students from the files of a school's own system. */
#[IsGranted('ROLE_TEACHER')]
#[Route('/classes/from-files')]
final readonly class SchoolFilesController
{
    public function __construct(private SchoolImport $import)
    {
    }

    #[Route('/preview', methods: ['POST'])]
    #[Dear]
    public function preview(#[CurrentUser] StaffUser $who, #[MapRequestPayload] SchoolFilesInput $input): SchoolFilesView
    {
        return $this->import->preview($who, $input);
    }

    #[Route('', methods: ['POST'])]
    #[Dear]
    public function take(#[CurrentUser] StaffUser $who, #[MapRequestPayload] SchoolFilesInput $input): SchoolFilesView
    {
        return $this->import->take($who, $input);
    }
}
