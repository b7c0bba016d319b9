<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Identity\Api\View\DemoAccountView;
use ChalkLadder\Server\Identity\Api\View\StaffNameView;
use ChalkLadder\Server\Identity\Api\View\StaffView;
use ChalkLadder\Server\Identity\Entity\StaffMember;
use ChalkLadder\Server\Identity\ReadModel\StaffList;
use ChalkLadder\Server\Identity\Repository\StaffRepository;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** The team's teachers and markers, as accounts. */
final readonly class Staff
{
    /** Every demo account signs in with this; the page offers it only while demo data is loaded. */
    public const DEMO_PASSWORD = 'high-water';

    public function __construct(
        private StaffRepository $staff,
        private StaffList $list,
        private Teams $teams,
        private Transaction $transaction,
        private UserPasswordHasherInterface $hasher,
        private NobodysHash $nobody,
        private bool $demo,
    ) {
    }

    public function signIn(string $email, string $password): StaffUser
    {
        $member = $this->staff->ofEmail(self::normal($email));
        $user = $member?->user();
        // An unknown address costs as much time as a wrong password, so that addresses cannot be found out.
        $asked = $user ?? new StaffUser('nobody', '', '', Role::Marker, $this->nobody->hash());
        if (!$this->hasher->isPasswordValid($asked, $password) || $user === null || !$member->isHere()) {
            throw new Problem(
                422,
                'Address and password do not fit.',
                'Check both; capital letters count in the password.',
                ['password' => 'Address and password do not fit.'],
            );
        }

        return $user;
    }

    public function has(string $email): bool
    {
        return $this->staff->ofEmail(self::normal($email)) !== null;
    }

    /** @return string the new account's id */
    public function create(string $teamId, string $email, string $name, Role $role, string $password): string
    {
        return $this->transaction->run(function () use ($teamId, $email, $name, $role, $password): string {
            $member = new StaffMember($teamId, self::normal($email), $name, $role);
            $member->setPassword($this->hasher->hashPassword($member->user(), $password));
            $this->staff->add($member);

            return $member->id();
        });
    }

    public function view(StaffUser $user): StaffView
    {
        return new StaffView($user->id, $user->name, $user->role->value, $this->teams->name($user->teamId));
    }

    /** @return list<StaffNameView> those of the team who teach, by name */
    public function teachers(string $teamId): array
    {
        return $this->list->teachers($teamId);
    }

    /** @return array<string, string> ids of those of the team who teach, by e-mail address as it is known ({@see normal}) */
    public function teachersByAddress(string $teamId): array
    {
        return $this->list->teachersByAddress($teamId);
    }

    /** @return list<DemoAccountView> */
    public function demoAccounts(): array
    {
        return $this->demo ? $this->list->demoAccounts() : [];
    }

    /** An address as it is known: however it is typed, it is the same account. */
    public static function normal(string $email): string
    {
        return mb_strtolower(trim($email));
    }
}
