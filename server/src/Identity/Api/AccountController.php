<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api;

use ChalkLadder\Server\Identity\Accounts;
use ChalkLadder\Server\Identity\Api\Input\PasswordInput;
use ChalkLadder\Server\Identity\Api\Input\TeamInput;
use ChalkLadder\Server\Identity\Api\View\AccountView;
use ChalkLadder\Server\Identity\Cookies;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** One's own account: where one is signed in, the password; for a lead, the team's settings. */
#[IsGranted('ROLE_STAFF')]
#[Route('/account')]
final readonly class AccountController
{
    public function __construct(private Accounts $accounts)
    {
    }

    #[Route('', methods: ['GET'])]
    public function show(#[CurrentUser] StaffUser $who, Request $request): AccountView
    {
        return $this->accounts->show($who, self::token($request));
    }

    #[Route('/sessions/{id}', requirements: ['id' => '[0-9a-f]{16}'], methods: ['DELETE'])]
    public function endSession(#[CurrentUser] StaffUser $who, string $id): void
    {
        $this->accounts->endSession($who, $id);
    }

    /** A new password ends every other session. */
    #[Route('/password', methods: ['PUT'])]
    public function changePassword(#[CurrentUser] StaffUser $who, Request $request, #[MapRequestPayload] PasswordInput $input): void
    {
        $this->accounts->changePassword($who, self::token($request), $request, $input);
    }

    #[Route('/team', methods: ['PUT'])]
    #[IsGranted('ROLE_LEAD')]
    public function setTeam(#[CurrentUser] StaffUser $who, Request $request, #[MapRequestPayload] TeamInput $input): AccountView
    {
        $this->accounts->setTeam($who, $input);

        return $this->accounts->show($who, self::token($request));
    }

    private static function token(Request $request): string
    {
        return Cookies::read(Sessions::STAFF_COOKIE, $request);
    }
}
