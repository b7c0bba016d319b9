<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use ChalkLadder\Server\Platform\Storage\Database;
use Symfony\Component\HttpFoundation\Cookie;

/** Session tokens: 256 random bits in an HttpOnly cookie; the database keeps their hash alone. */
final readonly class Access
{
    public const STAFF_COOKIE = 'chalk_staff';
    public const STUDENT_COOKIE = 'chalk_student';
    private const STAFF_DAYS = 14;
    private const STUDENT_DAYS = 60;

    public function __construct(private Database $database)
    {
    }

    public function openFor(StaffUser|StudentUser $user, bool $secure): Cookie
    {
        $staff = $user instanceof StaffUser;
        $token = rtrim(strtr(base64_encode(random_bytes(32)), '+/', '-_'), '=');
        $until = new \DateTimeImmutable('+'.($staff ? self::STAFF_DAYS : self::STUDENT_DAYS).' days');
        $this->database->insert('access', [
            'token_hash' => self::hash($token),
            'staff_id' => $staff ? $user->id : null,
            'student_id' => $staff ? null : $user->id,
            'expires_at' => $until->format('Y-m-d H:i:sP'),
        ]);

        return self::cookie($staff ? self::STAFF_COOKIE : self::STUDENT_COOKIE, $token, $until, $secure);
    }

    public function close(string $token): void
    {
        $this->database->run('DELETE FROM access WHERE token_hash = :hash OR expires_at < now()', ['hash' => self::hash($token)]);
    }

    public function closeAllOfStudent(string $studentId): void
    {
        $this->database->run('DELETE FROM access WHERE student_id = :id', ['id' => $studentId]);
    }

    public static function endedCookie(string $name): Cookie
    {
        return self::cookie($name, '', new \DateTimeImmutable('-1 day'), false);
    }

    public function staff(string $token): ?StaffUser
    {
        $row = $this->database->row('SELECT s.id, s.team_id, s.name, s.role FROM access a JOIN staff s ON s.id = a.staff_id WHERE a.token_hash = :hash AND a.expires_at > now()', ['hash' => self::hash($token)]);

        return $row === null ? null : new StaffUser($row->text('id'), $row->text('team_id'), $row->text('name'), Role::from($row->text('role')));
    }

    public function student(string $token): ?StudentUser
    {
        $row = $this->database->row('SELECT s.id, s.team_id, s.name FROM access a JOIN student s ON s.id = a.student_id WHERE a.token_hash = :hash AND a.expires_at > now()', ['hash' => self::hash($token)]);

        return $row === null ? null : new StudentUser($row->text('id'), $row->text('team_id'), $row->text('name'));
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }

    private static function cookie(string $name, string $value, \DateTimeImmutable $until, bool $secure): Cookie
    {
        return Cookie::create($name, $value, $until, '/api', null, $secure, true, false, Cookie::SAMESITE_LAX);
    }
}
