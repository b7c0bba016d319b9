<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Sitting\Api;

use ChalkLadder\Server\Platform\Http\MapDocument;
use ChalkLadder\Server\Roster\StudentAuthenticator;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\Api\Input\SavesInput;
use ChalkLadder\Server\Sitting\Api\View\AnswersSavedView;
use ChalkLadder\Server\Sitting\Saves;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Takes answers. By itself, so that the most frequent request makes no more than it needs. */
#[IsGranted('ROLE_STUDENT')]
final readonly class SaveController
{
    public function __construct(private Saves $saves)
    {
    }

    #[Route('/me/sittings/{id}/responses', requirements: ['id' => Requirement::UUID], defaults: [StudentAuthenticator::PROVES_ITSELF => true], methods: ['PUT'])]
    public function save(#[CurrentUser] StudentUser $who, string $id, #[MapDocument] SavesInput $input): AnswersSavedView
    {
        return $this->saves->save($who, $id, $input);
    }
}
