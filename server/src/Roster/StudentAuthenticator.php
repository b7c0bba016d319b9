<?php

declare(strict_types=1);

namespace ChalkLadder\Server\Roster;

use ChalkLadder\Server\Identity\CookieAuthenticator;
use ChalkLadder\Server\Identity\Sessions;
use Symfony\Component\HttpFoundation\Request;

/** Reads the student session cookie. */
final class StudentAuthenticator extends CookieAuthenticator
{
    /** Default of a route whose own writing proves the session, or which proves it before it does anything else. */
    public const PROVES_ITSELF = '_proves_session';

    public function __construct(private readonly StudentSessions $sessions)
    {
    }

    protected function cookieName(): string
    {
        return Sessions::STUDENT_COOKIE;
    }

    protected function user(Request $request, string $token): ?StudentUser
    {
        return $request->attributes->getBoolean(self::PROVES_ITSELF)
            ? $this->sessions->remembered($token)
            : $this->sessions->proven($token);
    }
}
