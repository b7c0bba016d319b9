<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

/** Reads the staff session cookie. */
final class StaffAuthenticator extends CookieAuthenticator
{
    protected function cookieName(): string
    {
        return Sessions::STAFF_COOKIE;
    }

    protected function user(string $token): ?StaffUser
    {
        return $this->sessions->staff($token);
    }
}
