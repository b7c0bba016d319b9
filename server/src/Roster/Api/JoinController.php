<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\Cookies;
use ChalkLadder\Server\Identity\KnownDevices;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\SignInGuard;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Roster\Api\Input\ByAccountInput;
use ChalkLadder\Server\Roster\Api\Input\JoinInput;
use ChalkLadder\Server\Roster\Api\View\StudentSessionView;
use ChalkLadder\Server\Roster\Join;
use ChalkLadder\Server\Roster\OwnAccounts;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Students come in and go out. Joining is open to everybody. */
final readonly class JoinController
{
    public function __construct(
        private Join $join,
        private OwnAccounts $accounts,
        private Sessions $sessions,
        private SignInGuard $guard,
        private KnownDevices $devices,
    ) {
    }

    #[Route('/join', methods: ['POST'])]
    #[Returns(StudentSessionView::class)]
    public function join(#[MapRequestPayload] JoinInput $input, Request $request): JsonResponse
    {
        return $this->letIn(Join::account($input), $request, fn (): StudentUser => $this->join->student($input));
    }

    #[Route('/join/account', methods: ['POST'])]
    #[Returns(StudentSessionView::class)]
    public function joinByAccount(#[MapRequestPayload] ByAccountInput $input, Request $request): JsonResponse
    {
        return $this->letIn(OwnAccounts::account($input), $request, fn (): StudentUser => $this->accounts->student($input));
    }

    /** @param \Closure(): StudentUser $verify */
    private function letIn(string $account, Request $request, \Closure $verify): JsonResponse
    {
        $student = $this->guard->attempt($account, $request, $verify);
        $response = new JsonResponse(new StudentSessionView($student->name, $student->id));
        $response->headers->setCookie($this->sessions->openForStudent($student->teamId, $student->id, $request));
        // Of one browser's pages, within others or not, one student is who works there.
        $response->headers->setCookie(Cookies::ended(Sessions::STUDENT_COOKIE, $request, !Cookies::inFrame($request)));
        $response->headers->setCookie($this->devices->remember($request, $account));

        return $response;
    }

    #[Route('/me', methods: ['GET'])]
    #[IsGranted('ROLE_STUDENT')]
    public function me(#[CurrentUser] StudentUser $who): StudentSessionView
    {
        return new StudentSessionView($who->name, $who->id);
    }

    #[Route('/me', methods: ['DELETE'])]
    #[IsGranted('ROLE_STUDENT')]
    public function leave(Request $request): Response
    {
        $this->sessions->close(Cookies::read(Sessions::STUDENT_COOKIE, $request));
        $response = new Response(null, 204);
        foreach ([false, true] as $framed) {
            $response->headers->setCookie(Cookies::ended(Sessions::STUDENT_COOKIE, $request, $framed));
        }

        return $response;
    }
}
