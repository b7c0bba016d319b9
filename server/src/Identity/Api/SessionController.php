<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity\Api;

use ChalkLadder\Server\Identity\Api\Input\SignInInput;
use ChalkLadder\Server\Identity\Api\View\SessionView;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\Staff;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Platform\Http\Returns;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Signing in and out as staff. Open to everybody. */
final readonly class SessionController
{
    public function __construct(
        private Staff $staff,
        private Sessions $sessions,
        private RateLimiterFactory $staffSignInLimiter,
        private RateLimiterFactory $anySignInLimiter,
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
        $address = $request->getClientIp() ?? '';
        $limiter = $this->staffSignInLimiter->create($address.'|'.mb_strtolower($input->email));
        if (!$limiter->consume()->isAccepted() || !$this->anySignInLimiter->create($address)->consume()->isAccepted()) {
            throw new TooManyRequestsHttpException();
        }
        $user = $this->staff->signIn($input->email, $input->password);
        $limiter->reset();
        $response = new JsonResponse(new SessionView($this->staff->view($user), []));
        $response->headers->setCookie($this->sessions->openForStaff($user, $request));

        return $response;
    }

    #[Route('/session', methods: ['DELETE'])]
    public function close(Request $request): Response
    {
        $this->sessions->close($request->cookies->getString(Sessions::STAFF_COOKIE));
        $response = new Response(null, 204);
        $response->headers->setCookie(Sessions::endedCookie(Sessions::STAFF_COOKIE));

        return $response;
    }
}
