<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Http\Problem;
use ChalkLadder\Server\Platform\Storage\Database;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;

/** The team's teachers and markers, as accounts. */
final readonly class Staff
{
    /** Every demo account signs in with this; the page offers it only while demo data is loaded. */
    public const DEMO_PASSWORD = 'high-water';

    public function __construct(private Database $database, private UserPasswordHasherInterface $hasher, private bool $demo)
    {
    }

    public function signIn(string $email, string $password): StaffUser
    {
        $row = $this->database->row('SELECT id, team_id, name, role, password_hash FROM staff WHERE email = :email', ['email' => mb_strtolower(trim($email))]);
        $user = $row === null
            ? new StaffUser('nobody', '', '', Role::Marker, '$2y$10$abcdefghijklmnopqrstuuJ9i4XQ2hLxWJxJ1q7i7R5b8YzKpC6i6')
            : new StaffUser($row->text('id'), $row->text('team_id'), $row->text('name'), Role::from($row->text('role')), $row->text('password_hash'));
        // An unknown address costs as much time as a wrong password, so that addresses cannot be found out.
        if (!$this->hasher->isPasswordValid($user, $password) || $row === null) {
            throw new Problem(422, 'Address and password do not fit.', 'Check both; capital letters count in the password.', ['password' => 'Address and password do not fit.']);
        }

        return $user;
    }

    public function create(string $teamId, string $email, string $name, Role $role, string $password): string
    {
        $id = $this->database->newId();
        $this->database->insert('staff', [
            'id' => $id,
            'team_id' => $teamId,
            'email' => mb_strtolower($email),
            'name' => $name,
            'role' => $role->value,
            'password_hash' => $this->hasher->hashPassword(new StaffUser($id, $teamId, $name, $role), $password),
        ]);

        return $id;
    }

    public function view(StaffUser $user): StaffView
    {
        $team = $this->database->row('SELECT name FROM team WHERE id = :id', ['id' => $user->teamId]);

        return new StaffView($user->id, $user->name, $user->role->value, $team?->text('name') ?? '');
    }

    /** @return list<DemoAccountView> */
    public function demoAccounts(): array
    {
        if (!$this->demo) {
            return [];
        }
        $rows = $this->database->rows("SELECT s.email, s.name, s.role, t.name AS team FROM staff s JOIN team t ON t.id = s.team_id WHERE s.email LIKE '%@demo.example' ORDER BY t.name, s.role, s.name");

        return array_map(static fn ($r): DemoAccountView => new DemoAccountView($r->text('email'), $r->text('name'), $r->text('role'), $r->text('team')), $rows);
    }
}
