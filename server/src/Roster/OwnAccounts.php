<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Core\Formula\Unicode;
use ChalkLadder\Server\Identity\NobodysHash;
use ChalkLadder\Server\Identity\Sessions;
use ChalkLadder\Server\Identity\SignInGuard;
use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Transaction;
use ChalkLadder\Server\Roster\Api\Input\ByAccountInput;
use ChalkLadder\Server\Roster\Api\Input\OwnAccountInput;
use ChalkLadder\Server\Roster\ReadModel\AccountList;
use ChalkLadder\Server\Roster\Repository\StudentRepository;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\PasswordHasher\Hasher\PasswordHasherFactoryInterface;
use Symfony\Component\PasswordHasher\PasswordHasherInterface;

/**
 * Names and passwords that students take for themselves, to come in without class code and PIN. What stands on the slip goes
 * on to bring them in, and a new PIN closes the account: so a teacher can always shut out whoever came in by it.
 */
final readonly class OwnAccounts
{
    public function __construct(
        private AccountList $accounts,
        private StudentRepository $students,
        private Join $join,
        private Sessions $sessions,
        private SignInGuard $guard,
        private Transaction $transaction,
        private PasswordHasherFactoryInterface $hashers,
        private NobodysHash $nobody,
    ) {
    }

    /** However the name is typed, the same name for the same account. */
    public static function account(ByAccountInput $input): string
    {
        return 'own account|'.self::known($input->account);
    }

    public function student(ByAccountInput $input): StudentUser
    {
        [$student, $hash] = $this->accounts->called(self::known($input->account)) ?? [null, $this->nobody->hash()];
        if (!$this->hasher()->verify($hash, $input->password) || $student === null) {
            throw new Problem(
                422,
                'Name and password do not fit together.',
                'Check both, or come in with class code, name and PIN. Your teacher can give you a new PIN.',
                ['password' => 'Name and password do not fit together.'],
            );
        }

        return $student;
    }

    public function nameOf(StudentUser $who): ?string
    {
        return $this->students->find($who->teamId, $who->id)?->accountName();
    }

    /**
     * Whoever sits at an unlocked device has the session, not what stands on the slip.
     *
     * @return bool whether there was an account before, so that every session has ended
     */
    public function take(StudentUser $who, OwnAccountInput $input, Request $request): bool
    {
        $this->guard->attempt('own account of|'.$who->id, $request, function () use ($who, $input): StudentUser {
            if (!$this->join->isTheirs($who->id, $input->pin, $input->pictures)) {
                throw Problem::invalid(['pin' => 'This is not what stands on your slip.']);
            }

            return $who;
        });
        $name = self::known($input->account);
        $hash = $this->hasher()->hash($input->password);

        return $this->transaction->run(function () use ($who, $name, $hash): bool {
            $student = $this->students->findLocked($who->teamId, $who->id) ?? throw Problem::notFound('The student');
            if ($this->accounts->isTaken($name, $who->id)) {
                throw Problem::invalid(['account' => 'Somebody else goes by this name here. Take another.']);
            }
            $had = $student->accountName() !== null;
            $student->takeAccount($name, $hash);
            if ($had) {
                $this->sessions->closeAllOfStudent($who->id);
            }

            return $had;
        });
    }

    public function close(StudentUser $who): void
    {
        $this->transaction->run(function () use ($who): void {
            ($this->students->findLocked($who->teamId, $who->id) ?? throw Problem::notFound('The student'))->closeAccount();
        });
    }

    private static function known(string $account): string
    {
        return mb_strtolower(trim(Unicode::compatible($account)));
    }

    private function hasher(): PasswordHasherInterface
    {
        return $this->hashers->getPasswordHasher(StudentUser::class);
    }
}
