<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** Reads the student session cookie. */
final class StudentAuthenticator extends CookieAuthenticator
{
    protected function cookieName(): string
    {
        return Access::STUDENT_COOKIE;
    }

    protected function user(string $token): ?StudentUser
    {
        return $this->access->student($token);
    }
}
