<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster\Api;

use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Roster\Api\Input\JoinInput;
use ChalkLadder\Server\Roster\Api\View\StudentSessionView;
use ChalkLadder\Server\Roster\Join;
use ChalkLadder\Server\Roster\StudentUser;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Students come in and go out. Joining is open to everybody. */
final readonly class JoinController
{
    public function __construct(
        private Join $join,
        private Sessions $sessions,
        private RateLimiterFactory $studentJoinLimiter,
        private RateLimiterFactory $anySignInLimiter,
    ) {
    }

    #[Route('/join', methods: ['POST'])]
    #[Returns(StudentSessionView::class)]
    public function join(#[MapRequestPayload] JoinInput $input, Request $request): JsonResponse
    {
        $limiter = $this->studentJoinLimiter->create(mb_strtolower($input->code.'|'.$input->name));
        if (!$limiter->consume()->isAccepted() || !$this->anySignInLimiter->create($request->getClientIp() ?? '')->consume()->isAccepted()) {
            throw new TooManyRequestsHttpException();
        }
        $student = $this->join->student($input);
        $limiter->reset();
        $response = new JsonResponse(new StudentSessionView($student->name));
        $response->headers->setCookie($this->sessions->openForStudent($student->teamId, $student->id, $request));

        return $response;
    }

    #[Route('/me', methods: ['GET'])]
    #[IsGranted('ROLE_STUDENT')]
    public function me(#[CurrentUser] StudentUser $who): StudentSessionView
    {
        return new StudentSessionView($who->name);
    }

    #[Route('/me', methods: ['DELETE'])]
    #[IsGranted('ROLE_STUDENT')]
    public function leave(Request $request): Response
    {
        $this->sessions->close($request->cookies->getString(Sessions::STUDENT_COOKIE));
        $response = new Response(null, 204);
        $response->headers->setCookie(Sessions::endedCookie(Sessions::STUDENT_COOKIE));

        return $response;
    }
}
