<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api;

use ChalkLadder\Server\Identity\Api\Input\SignInInput;
use ChalkLadder\Server\Identity\Api\View\SessionView;
use ChalkLadder\Server\Identity\Cookies;
use ChalkLadder\Server\Identity\KnownDevices;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\SignInGuard;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Signing in and out as staff. Open to everybody. */
final readonly class SessionController
{
    public function __construct(
        private Staff $staff,
        private Sessions $sessions,
        private SignInGuard $guard,
        private KnownDevices $devices,
    ) {
    }

    #[Route('/session', methods: ['GET'])]
    public function show(#[CurrentUser] ?StaffUser $user): SessionView
    {
        return new SessionView($user === null ? null : $this->staff->view($user), $user === null ? $this->staff->demoAccounts() : []);
    }

    #[Route('/session', methods: ['POST'])]
    #[Returns(SessionView::class)]
    public function open(#[MapRequestPayload] SignInInput $input, Request $request): JsonResponse
    {
        $account = 'staff|'.Staff::normal($input->email);
        $user = $this->guard->attempt($account, $request, fn (): StaffUser => $this->staff->signIn($input->email, $input->password));
        $response = new JsonResponse(new SessionView($this->staff->view($user), []));
        $response->headers->setCookie($this->sessions->openForStaff($user, $request));
        $response->headers->setCookie($this->devices->remember($request, $account));

        return $response;
    }

    #[Route('/session', methods: ['DELETE'])]
    public function close(Request $request): Response
    {
        $this->sessions->close(Cookies::read(Sessions::STAFF_COOKIE, $request));
        $response = new Response(null, 204);
        $response->headers->setCookie(Cookies::ended(Sessions::STAFF_COOKIE, $request));

        return $response;
    }
}
