<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Identity;

use Symfony\Component\HttpFoundation\Request;

/** Reads the staff session cookie. */
final class StaffAuthenticator extends CookieAuthenticator
{
    public function __construct(private readonly SessionProof $sessions)
    {
    }

    protected function cookieName(): string
    {
        return Sessions::STAFF_COOKIE;
    }

    protected function user(Request $request, string $token): ?StaffUser
    {
        return $this->sessions->staff($token);
    }
}
