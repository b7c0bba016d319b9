<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Roster\Api\Input\OwnAccountInput;
use ChalkLadder\Server\Roster\Api\View\OwnAccountView;
use ChalkLadder\Server\Roster\OwnAccounts;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A student's own account: taken, changed, closed. */
#[IsGranted('ROLE_STUDENT')]
#[Route('/me/account')]
final readonly class OwnAccountController
{
    public function __construct(private OwnAccounts $accounts, private Sessions $sessions)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] StudentUser $who): OwnAccountView
    {
        return new OwnAccountView($this->accounts->nameOf($who));
    }

    /** Another name or password ends every session but this one. */
    #[Route('', methods: ['PUT'])]
    #[Returns(OwnAccountView::class)]
    public function take(#[CurrentUser] StudentUser $who, #[MapRequestPayload] OwnAccountInput $input, Request $request): JsonResponse
    {
        $ended = $this->accounts->take($who, $input, $request);
        $response = new JsonResponse(new OwnAccountView($this->accounts->nameOf($who)));
        if ($ended) {
            $response->headers->setCookie($this->sessions->openForStudent($who->teamId, $who->id, $request));
        }

        return $response;
    }

    #[Route('', methods: ['DELETE'])]
    public function close(#[CurrentUser] StudentUser $who): void
    {
        $this->accounts->close($who);
    }
}
