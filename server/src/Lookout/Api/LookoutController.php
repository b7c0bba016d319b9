<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Lookout\Api;

use ChalkLadder\Server\Handout\Handouts;
use ChalkLadder\Server\Identity\Cookies;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Lookout\Api\View\LookoutView;
use ChalkLadder\Server\Lookout\Api\View\OneQuestionView;
use ChalkLadder\Server\Lookout\Api\View\StudentWorkView;
use ChalkLadder\Server\Lookout\OneQuestion;
use ChalkLadder\Server\Lookout\Snapshots;
use ChalkLadder\Server\Lookout\StudentWork;
use ChalkLadder\Server\Platform\Http\Returns;
use ChalkLadder\Server\Platform\Live\Push;
use ChalkLadder\Server\Roster\StudentUser;
use ChalkLadder\Server\Sitting\ReadModel\SittingReader;
use ChalkLadder\Server\Sitting\Work;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID])]
final readonly class LookoutController
{
    public function __construct(
        private Snapshots $snapshots,
        private OneQuestion $one,
        private StudentWork $work,
        private Work $sittings,
        private Handouts $handouts,
        private SittingReader $reader,
        private Push $push,
    ) {
    }

    #[Route('/handouts/{id}/lookout', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function snapshot(#[CurrentUser] StaffUser $who, string $id): LookoutView
    {
        return $this->snapshots->take($who->teamId, $id);
    }

    #[Route('/handouts/{id}/lookout/{entry}', methods: ['GET'], requirements: ['entry' => '[a-z0-9][a-z0-9-]{0,35}'])]
    #[IsGranted('ROLE_TEACHER')]
    public function question(#[CurrentUser] StaffUser $who, string $id, string $entry): OneQuestionView
    {
        return $this->one->show($who->teamId, $id, $entry);
    }

    #[Route('/sittings/{id}', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function work(#[CurrentUser] StaffUser $who, string $id): StudentWorkView
    {
        return $this->work->show($who->teamId, $id);
    }

    /** Opens one piece of handed-in work again. */
    #[Route('/sittings/{id}/reopen', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function reopen(#[CurrentUser] StaffUser $who, string $id): StudentWorkView
    {
        $this->sittings->reopen($who->teamId, $id);

        return $this->work->show($who->teamId, $id);
    }

    /** Takes in what is there of one student, before the others. */
    #[Route('/sittings/{id}/take-in', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function takeIn(#[CurrentUser] StaffUser $who, string $id): StudentWorkView
    {
        $this->sittings->takeOneIn($who, $id);

        return $this->work->show($who->teamId, $id);
    }

    /** An event stream: authorised here, then held by nginx, so that no PHP worker waits on it. */
    #[Route('/handouts/{id}/live', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    #[Returns('file')]
    public function live(#[CurrentUser] StaffUser $who, string $id, Request $request): Response
    {
        $this->handouts->find($who->teamId, $id);

        return $this->subscribe('staff', Push::teachers($id), Cookies::read(Sessions::STAFF_COOKIE, $request), $who->id);
    }

    #[Route('/me/sittings/{id}/live', methods: ['GET'])]
    #[IsGranted('ROLE_STUDENT')]
    #[Returns('file')]
    public function liveStudent(#[CurrentUser] StudentUser $who, string $id, Request $request): Response
    {
        $channel = Push::students($this->reader->ofStudent($who->id, $id)->handoutId);

        return $this->subscribe('student', $channel, Cookies::read(Sessions::STUDENT_COOKIE, $request), $who->id);
    }

    /** A channel, the session whose end ends the stream, and the person, of whose streams nginx allows so many. */
    private function subscribe(string $kind, string $channel, string $token, string $person): Response
    {
        $this->push->open($channel);
        $place = implode('/', ['/internal/live', $kind, $channel, Sessions::channel($token), substr(hash('sha256', $person), 0, 32)]);

        return new Response('', 200, ['X-Accel-Redirect' => $place, 'X-Accel-Buffering' => 'no', 'Cache-Control' => 'no-store']);
    }
}
