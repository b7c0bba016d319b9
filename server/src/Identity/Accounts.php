<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Core\Marking\Marks;
use ChalkLadder\Server\Identity\Api\Input\PasswordInput;
use ChalkLadder\Server\Identity\Api\Input\TeamInput;
use ChalkLadder\Server\Identity\Api\View\AccountView;
use ChalkLadder\Server\Identity\Api\View\RungView;
use ChalkLadder\Server\Identity\Entity\StaffMember;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\Repository\StaffRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** What staff do with their accounts, and a lead with the team's. */
final readonly class Accounts
{
    public function __construct(
        private StaffRepository $staff,
        private StaffList $list,
        private Teams $teams,
        private Sessions $sessions,
        private SignInGuard $guard,
        private Transaction $transaction,
        private UserPasswordHasherInterface $hasher,
    ) {
    }

    public function show(StaffUser $who, string $token): AccountView
    {
        $isLead = $who->role === Role::Lead;

        return new AccountView(
            $this->sessions->ofStaff($who, $token),
            $isLead ? $this->list->colleagues($who->teamId, $who->id) : [],
            (string) $this->teams->markStep($who->teamId),
            Marks::STEPS,
            array_map(
                static fn (array $band): RungView => new RungView($band['name'], (int) round(100 * $band['from'])),
                $this->teams->rungs($who->teamId)->bands,
            ),
            $this->teams->searchLanguage($who->teamId)->value,
            array_column(SearchLanguage::cases(), 'value'),
            $this->teams->framedBy($who->teamId),
            $isLead,
        );
    }

    public function endSession(StaffUser $who, string $id): void
    {
        if (!$this->sessions->endOfStaff($who->id, $id)) {
            throw Problem::notFound('The session');
        }
    }

    public function changePassword(StaffUser $who, string $token, Request $request, PasswordInput $input): void
    {
        $this->confirm($who, $request, $input->current);
        $this->transaction->run(fn () => $this->setPassword($who, $who->id, $input->new));
        $this->sessions->endOfStaff($who->id, null, $token);
    }

    /** A colleague who has forgotten theirs; wherever they are signed in, they are not any more. */
    public function resetPassword(StaffUser $who, string $id, Request $request, PasswordInput $input): void
    {
        $this->confirm($who, $request, $input->current);
        $this->transaction->run(fn () => $this->setPassword($who, $id, $input->new));
        $this->sessions->endOfStaff($id, null);
    }

    public function setTeam(StaffUser $who, TeamInput $input): void
    {
        $this->teams->set($who, $input);
    }

    /** Whoever sits at an unlocked desk has the session, not the password. */
    public function confirm(StaffUser $who, Request $request, string $password): void
    {
        $this->guard->attempt('password|'.$who->id, $request, function () use ($who, $password): StaffMember {
            $member = $this->staff->find($who->teamId, $who->id) ?? throw Problem::notFound('The account');
            if (!$this->hasher->isPasswordValid($member->user(), $password)) {
                throw Problem::invalid(['current' => 'This is not your present password.']);
            }

            return $member;
        });
    }

    private function setPassword(StaffUser $who, string $id, string $password): void
    {
        $member = $this->staff->findLocked($who->teamId, $id) ?? throw Problem::notFound('The colleague');
        $member->setPassword($this->hasher->hashPassword($member->user(), $password), $who->id);
    }
}
