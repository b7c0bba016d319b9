<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Marking\Api;

use ChalkLadder\Server\Identity\StaffUser;
use ChalkLadder\Server\Marking\Api\Input\KeyInput;
use ChalkLadder\Server\Marking\Api\Input\MarkInput;
use ChalkLadder\Server\Marking\Api\Input\MendInput;
use ChalkLadder\Server\Marking\Api\Input\ReturnInput;
use ChalkLadder\Server\Marking\Api\Input\SecondMarkInput;
use ChalkLadder\Server\Marking\Api\Input\TakeBackInput;
use ChalkLadder\Server\Marking\Api\View\DeskView;
use ChalkLadder\Server\Marking\Api\View\KeyChangeView;
use ChalkLadder\Server\Marking\Api\View\MarkView;
use ChalkLadder\Server\Marking\Api\View\MendView;
use ChalkLadder\Server\Marking\Api\View\OutboxView;
use ChalkLadder\Server\Marking\Api\View\ReturnedView;
use ChalkLadder\Server\Marking\Api\View\ReturnStateView;
use ChalkLadder\Server\Marking\Api\View\WaitingListView;
use ChalkLadder\Server\Marking\Desk;
use ChalkLadder\Server\Marking\Keys;
use ChalkLadder\Server\Marking\Mending;
use ChalkLadder\Server\Marking\Returning;
use ChalkLadder\Server\Marking\SecondMarking;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route(requirements: ['id' => Requirement::UUID, 'entry' => '[a-z0-9][a-z0-9-]{0,35}'])]
final readonly class MarkingController
{
    public function __construct(
        private Desk $desk,
        private SecondMarking $second,
        private Keys $keys,
        private Mending $mending,
        private Returning $returning,
    ) {
    }

    #[Route('/marking', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function waiting(#[CurrentUser] StaffUser $who): WaitingListView
    {
        return $this->desk->waiting($who);
    }

    #[Route('/handouts/{id}/marking/{entry}', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function desk(#[CurrentUser] StaffUser $who, string $id, string $entry, #[MapQueryParameter] bool $second = false): DeskView
    {
        return $this->desk->desk($who, $id, $entry, $second);
    }

    #[Route('/marks', methods: ['PUT'])]
    #[IsGranted('ROLE_STAFF')]
    public function mark(#[CurrentUser] StaffUser $who, #[MapRequestPayload] MarkInput $input): MarkView
    {
        return $this->desk->mark($who, $input);
    }

    #[Route('/second-marks', methods: ['PUT'])]
    #[IsGranted('ROLE_STAFF')]
    public function markAgain(#[CurrentUser] StaffUser $who, #[MapRequestPayload] SecondMarkInput $input): void
    {
        $this->second->mark($who, $input);
    }

    #[Route('/handouts/{id}/keys/{entry}/preview', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function previewKey(
        #[CurrentUser] StaffUser $who,
        string $id,
        string $entry,
        #[MapRequestPayload] KeyInput $input,
    ): KeyChangeView {
        return $this->keys->preview($who, $id, $entry, $input);
    }

    #[Route('/handouts/{id}/keys/{entry}', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function changeKey(#[CurrentUser] StaffUser $who, string $id, string $entry, #[MapRequestPayload] KeyInput $input): KeyChangeView
    {
        return $this->keys->apply($who, $id, $entry, $input);
    }

    #[Route('/key-changes/{id}/undo', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function undoKey(#[CurrentUser] StaffUser $who, string $id): KeyChangeView
    {
        return $this->keys->undo($who, $id);
    }

    /** What the latest edition would do to work that is under way; nothing is changed by asking. */
    #[Route('/handouts/{id}/mend', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function previewMend(#[CurrentUser] StaffUser $who, string $id): MendView
    {
        return $this->mending->preview($who, $id);
    }

    #[Route('/handouts/{id}/mend', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function mend(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] MendInput $input = new MendInput()): MendView
    {
        return $this->mending->apply($who, $id, $input->editionId);
    }

    #[Route('/handouts/{id}/return', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function return(#[CurrentUser] StaffUser $who, string $id, #[MapRequestPayload] ReturnInput $input): ReturnedView
    {
        return $this->returning->return($who, $id, $input);
    }

    #[Route('/handouts/{id}/return', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function returnState(#[CurrentUser] StaffUser $who, string $id): ReturnStateView
    {
        return $this->returning->state($who->teamId, $id);
    }

    #[Route('/handouts/{id}/take-back', methods: ['POST'])]
    #[IsGranted('ROLE_TEACHER')]
    public function takeBack(
        #[CurrentUser] StaffUser $who,
        string $id,
        #[MapRequestPayload] TakeBackInput $input = new TakeBackInput(),
    ): ReturnedView {
        return $this->returning->takeBack($who, $id, $input);
    }

    #[Route('/outbox', methods: ['GET'])]
    #[IsGranted('ROLE_TEACHER')]
    public function outbox(#[CurrentUser] StaffUser $who): OutboxView
    {
        return $this->returning->outbox($who->teamId);
    }
}
