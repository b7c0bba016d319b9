<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\Api\Input\ColleagueInput;
use ChalkLadder\Server\Identity\Entity\StaffMember;
use ChalkLadder\Server\Identity\Repository\StaffRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/**
 * Who belongs to the team, as a lead keeps it. A lead does this to others, never to themselves: so there is always one, and two
 * who would take each other out wait for each other.
 */
final readonly class Colleagues
{
    public function __construct(
        private StaffRepository $staff,
        private Accounts $accounts,
        private Sessions $sessions,
        private Transaction $transaction,
        private UserPasswordHasherInterface $hasher,
        private ClockInterface $clock,
    ) {
    }

    public function add(StaffUser $who, Request $request, ColleagueInput $input): void
    {
        $this->accounts->confirm($who, $request, $input->current);
        $email = Staff::normal($input->email);
        $known = $this->staff->ofEmail($email);
        if ($known !== null) {
            $gone = $known->teamId() === $who->teamId && !$known->isHere();
            throw Problem::invalid(['email' => $gone
                ? 'They have been in this team: take them back in the list of colleagues.'
                : 'This address has an account already.']);
        }
        $this->transaction->run(function () use ($who, $email, $input): void {
            $member = new StaffMember($who->teamId, $email, trim($input->name), Role::from($input->role));
            $member->setPassword($this->hasher->hashPassword($member->user(), $input->new));
            $member->welcome($who->id);
            $this->staff->add($member);
        });
    }

    public function setRole(StaffUser $who, string $id, Role $role): void
    {
        $this->transaction->run(fn () => $this->other($who, $id)->setRole($role, $who->id));
    }

    /** They are signed out everywhere and sign in no more; what they made stays, under their name. */
    public function leave(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->other($who, $id)->leave($who->id, $this->clock->now()));
        $this->sessions->endOfStaff($id, null);
    }

    public function comeBack(StaffUser $who, string $id): void
    {
        $this->transaction->run(fn () => $this->other($who, $id)->comeBack($who->id));
    }

    /** A colleague, while whoever asks is still a lead of the team. */
    private function other(StaffUser $who, string $id): StaffMember
    {
        if ($id === $who->id) {
            throw new Problem(409, 'You cannot do this to yourself.', 'Another lead of the team can.');
        }
        [$self, $other] = $this->staff->findTwoLocked($who->teamId, $who->id, $id) ?? throw Problem::notFound('The colleague');
        if (!$self->isHere() || $self->role() !== Role::Lead) {
            throw new Problem(403, 'You are no lead of this team any more.', '');
        }

        return $other;
    }
}
